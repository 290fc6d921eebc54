package zebrawood.desktop.command;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.NoSuchFileException;
import java.util.concurrent.Callable;
import java.util.logging.Level;
import java.util.logging.Logger;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.HelpCommand;
import picocli.CommandLine.Mixin;
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
        System.exit(run(arguments));
    }

    static int run(String... arguments) {
        CommandLine line = new CommandLine(new Zebrawood());
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setExecutionExceptionHandler((exception, command, parsed) -> {
            System.err.println(sentence(exception));
            if (exception instanceof DamagedLogbookException) {
                System.err.println("./zebrawood restore says what a backup can bring back.");
            }
            return exception instanceof LogbookException ? Exit.WRONG : Exit.REFUSED;
        });
        return line.execute(arguments);
    }

    /** One sentence instead of a stack trace. */
    private static String sentence(Throwable exception) {
        Throwable cause = exception instanceof UncheckedIOException ? exception.getCause() : exception;
        if (cause instanceof NoSuchFileException missing) {
            return "There is no file " + missing.getFile() + ".";
        } else if (cause instanceof AccessDeniedException denied) {
            return "The file " + denied.getFile() + " may not be read or written here.";
        }
        String message = cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + (message.endsWith(".") ? "" : ".");
    }

    private static PrintStream utf8(FileDescriptor descriptor) {
        return new PrintStream(new FileOutputStream(descriptor), true, StandardCharsets.UTF_8);
    }
}
