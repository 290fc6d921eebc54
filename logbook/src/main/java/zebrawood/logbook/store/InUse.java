package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Says that a program has a logbook open. Whoever exchanges its file takes it for itself alone: nobody records into a
 * file that is put aside. The lock ends with its process, however that ends.
 */
final class InUse implements AutoCloseable {

    private static final String LOCK = "in-use.lock";
    private static final Pattern NOTE = Pattern.compile("open-by-(\\d{1,10})\\.txt");
    /** a file is exchanged in less; what takes longer is told */
    private static final int WAIT_MILLIS = 10_000;

    private static final int STEP_MILLIS = 20;

    private static final Map<Path, Held> HELD = new HashMap<>();

    private final Path folder;
    private boolean released;

    /** What this process holds: one lock, however many of its logbooks share it. */
    private static final class Held {
        private final FileChannel channel;
        private final boolean alone;
        private int times = 1;

        Held(FileChannel channel, boolean alone) {
            this.channel = channel;
            this.alone = alone;
        }
    }

    private InUse(Path folder) {
        this.folder = folder;
    }

    /**
     * Shares a logbook with other programs; waits while one of them exchanges its file.
     *
     * @throws LogbookException where that takes longer than ten seconds
     */
    static InUse together(Path folder) throws IOException {
        Path real = folder.toRealPath();
        for (int waited = 0; ; waited += STEP_MILLIS) {
            if (taken(real, false)) {
                return new InUse(real);
            }
            if (waited >= WAIT_MILLIS) {
                throw new LogbookException("the logbook in " + folder
                        + " is being repaired by another program; wait until that is done and try again");
            }
            try {
                Thread.sleep(STEP_MILLIS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new LogbookException("the logbook in " + folder + " was not opened: you stopped the wait", e);
            }
        }
    }

    /**
     * Takes a logbook for itself alone.
     *
     * @throws LogbookException where another program has it open, saying which
     */
    static InUse alone(Path folder) throws IOException {
        Path real = folder.toRealPath();
        if (taken(real, true)) {
            return new InUse(real);
        }
        throw new LogbookException("nothing was changed: the logbook in " + folder + " is open in " + who(real)
                + "; close that and try again");
    }

    private static boolean taken(Path folder, boolean alone) throws IOException {
        synchronized (HELD) {
            Held held = HELD.get(folder);
            if (held != null) {
                if (alone || held.alone) {
                    return false;
                }
                held.times++;
                return true;
            }
            Optional<FileChannel> channel = channel(folder, alone);
            if (channel.isEmpty()) {
                // nobody can change anything in a folder that may not be written to
                return true;
            }
            FileLock lock;
            try {
                lock = channel.get().tryLock(0, 1, !alone);
            } catch (OverlappingFileLockException ofThisProcess) {
                lock = null;
            }
            if (lock == null) {
                channel.get().close();
                return false;
            }
            HELD.put(folder, new Held(channel.get(), alone));
            note(folder);
            return true;
        }
    }

    private static Optional<FileChannel> channel(Path folder, boolean alone) throws IOException {
        Path file = folder.resolve(LOCK);
        if (Files.isWritable(folder)) {
            PrivateFiles.createIfMissing(file);
            return Optional.of(FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE));
        }
        return alone || !Files.isReadable(file)
                ? Optional.empty()
                : Optional.of(FileChannel.open(file, StandardOpenOption.READ));
    }

    private static Path noteOf(Path folder) {
        return folder.resolve("open-by-" + ProcessHandle.current().pid() + ".txt");
    }

    /** For the sentence that another program says; without it that is only less helpful. */
    private static void note(Path folder) {
        String[] command = System.getProperty("sun.java.command", "").split(" ");
        String word = command.length > 1 && command[1].matches("[a-z]{1,20}") ? command[1] : "";
        String what = word.isEmpty() || word.equals("demo") ? "a Zebrawood window" : "zebrawood " + word;
        try {
            if (Files.isWritable(folder)) {
                PrivateFiles.createIfMissing(noteOf(folder));
                Files.writeString(noteOf(folder), what + "\n");
            }
        } catch (IOException unwritten) {
            // the lock holds all the same
        }
    }

    /** Which programs have it open, in words. */
    private static String who(Path folder) {
        String words = "";
        try (Stream<Path> files = Files.list(folder)) {
            List<Path> notes = files.toList();
            words = notes.stream()
                    .flatMap(file -> holder(file).stream())
                    .sorted()
                    .collect(Collectors.joining(" and "));
        } catch (IOException unlisted) {
            // said without a name
        }
        return words.isEmpty() ? "another program" : words;
    }

    private static Optional<String> holder(Path file) {
        Matcher note = NOTE.matcher(file.getFileName().toString());
        if (!note.matches()) {
            return Optional.empty();
        }
        try {
            if (ProcessHandle.of(Long.parseLong(note.group(1)))
                    .filter(ProcessHandle::isAlive)
                    .isEmpty()) {
                Files.deleteIfExists(file);
                return Optional.empty();
            }
            String what = Files.readString(file).strip();
            return Optional.of((what.isEmpty() ? "another program" : what) + " (process " + note.group(1) + ")");
        } catch (IOException gone) {
            return Optional.empty();
        }
    }

    @Override
    public void close() {
        synchronized (HELD) {
            Held held = HELD.get(folder);
            if (released || held == null) {
                return;
            }
            released = true;
            if (--held.times > 0) {
                return;
            }
            HELD.remove(folder);
            try {
                Files.deleteIfExists(noteOf(folder));
                held.channel.close();
            } catch (IOException endsWithTheProcess) {
                // nothing waits for it longer than this process lives
            }
        }
    }
}
