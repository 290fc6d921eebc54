package zebrawood.desktop.command;

import java.io.EOFException;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.logging.Level;
import java.util.logging.Logger;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.HelpCommand;
import picocli.CommandLine.Mixin;
import zebrawood.core.units.Signs;
import zebrawood.logbook.store.DamagedLogbookException;
import zebrawood.logbook.store.LogbookException;

/** The one entry to the program; its words are the commands. */
@Command(
        name = "zebrawood",
        description =
                "For those who commission laser machines: measure once, turn once, check once, and it is written down.",
        version = "Zebrawood " + Version.TEXT,
        mixinStandardHelpOptions = true,
        subcommands = {
            Demo.class,
            Solve.class,
            RecordWorksheets.class,
            Verify.class,
            ExportBundle.class,
            ImportBundle.class,
            RestoreBackup.class,
            Certify.class,
            Shots.class,
            Notices.class,
            HelpCommand.class
        },
        footer = {
            "",
            "./zebrawood test    runs every test",
            "./zebrawood bench   measures what the README states; alone it says what there is"
        })
public final class Zebrawood implements Callable<Integer> {

    /** held, so that its level is; it warns of the class path, which is meant */
    private static final Logger TOOLKIT = Logger.getLogger("javafx");

    @Mixin
    private DataFolder data;

    @Mixin
    private TodayOption today;

    private Zebrawood() {}

    /** With no word: the window on the user's own shop. */
    @Override
    public Integer call() throws InterruptedException {
        Open.window(data.folder(), today, (window, desk) -> {});
        return Exit.DONE;
    }

    public static void main(String[] arguments) {
        System.setOut(utf8(FileDescriptor.out));
        System.setErr(utf8(FileDescriptor.err));
        Logger.getLogger("").setLevel(Level.WARNING);
        TOOLKIT.setLevel(Level.SEVERE);
        int status = run(arguments);
        System.exit(couldSay() ? status : Math.max(status, Exit.WRONG));
    }

    /** Whether what was said has been written; a full disk or a closed pipe behind it is no success. */
    private static boolean couldSay() {
        if (!System.out.checkError()) {
            return true;
        }
        System.err.println("What there is to say could not be written to the standard output.");
        return false;
    }

    static int run(String... arguments) {
        CommandLine line = new CommandLine(new Zebrawood());
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setExecutionExceptionHandler((exception, command, parsed) -> {
            System.err.println(Signs.shown(sentence(exception)));
            if (exception instanceof DamagedLogbookException) {
                System.err.println("./zebrawood restore says what a backup can bring back.");
            }
            return exception instanceof LogbookException ? Exit.WRONG : Exit.REFUSED;
        });
        return line.execute(afterTheWord(arguments, line));
    }

    /** Options that hold for every command count also where they stand before its word. */
    private static String[] afterTheWord(String[] arguments, CommandLine line) {
        int word = 0;
        while (word < arguments.length && arguments[word].startsWith("-")) {
            word += arguments[word].equals("--data") || arguments[word].equals("--today") ? 2 : 1;
        }
        if (word == 0 || word >= arguments.length || !line.getSubcommands().containsKey(arguments[word])) {
            return arguments;
        }
        List<String> ordered = new ArrayList<>(List.of(arguments[word]));
        ordered.addAll(List.of(arguments).subList(0, word));
        ordered.addAll(List.of(arguments).subList(word + 1, arguments.length));
        return ordered.toArray(String[]::new);
    }

    /** One sentence instead of a stack trace. */
    private static String sentence(Throwable exception) {
        Throwable cause = exception instanceof UncheckedIOException ? exception.getCause() : exception;
        if (cause instanceof NoSuchFileException missing) {
            return "There is no file " + missing.getFile() + ".";
        } else if (cause instanceof AccessDeniedException denied) {
            return "The file " + denied.getFile() + " may not be read or written here.";
        } else if (cause instanceof EOFException) {
            return "The file ends too early: it is cut off or damaged.";
        } else if (cause instanceof FileSystemException system) {
            return "The file " + system.getFile() + " cannot be read or written"
                    + (system.getReason() == null ? "" : ": " + system.getReason()) + ".";
        }
        String message = cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + (message.endsWith(".") ? "" : ".");
    }

    /** A terminal shows what it is given: signs that steer it, or turn words around, are marked instead. */
    private static PrintStream utf8(FileDescriptor descriptor) {
        return new PrintStream(new FileOutputStream(descriptor), true, StandardCharsets.UTF_8) {
            @Override
            public void print(String words) {
                super.print(Signs.shown(words));
            }

            @Override
            public void println(String words) {
                super.println(Signs.shown(words));
            }

            @Override
            public void println(Object words) {
                super.println(Signs.shown(String.valueOf(words)));
            }
        };
    }
}
