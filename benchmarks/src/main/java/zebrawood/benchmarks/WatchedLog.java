package zebrawood.benchmarks;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;

/** What a watched process wrote, synced, cut and said, in order; and what would be left of it after a power cut. */
final class WatchedLog {

    private static final int SECTOR = 512;
    private static final int DATABASE = 1;
    private static final int LOG = 2;
    private static final int ANSWERS = 3;

    /** @param kind W write, S sync, T cut to a length, U deleted */
    private record Call(char kind, int file, long at, byte[] bytes) {}

    private final List<Call> calls;

    private WatchedLog(List<Call> calls) {
        this.calls = calls;
    }

    static WatchedLog read(Path file) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(Files.readAllBytes(file)).order(ByteOrder.LITTLE_ENDIAN);
        List<Call> calls = new ArrayList<>();
        while (bytes.remaining() >= 18) {
            char kind = (char) bytes.get();
            int which = bytes.get();
            long at = bytes.getLong();
            byte[] content = new byte[(int) bytes.getLong()];
            bytes.get(content);
            calls.add(new Call(kind, which, at, content));
        }
        return new WatchedLog(calls);
    }

    int size() {
        return calls.size();
    }

    long count(char kind) {
        return calls.stream()
                .filter(call -> call.kind() == kind && call.file() != ANSWERS)
                .count();
    }

    /** Calls that can be made to fail. */
    int places() {
        return (int) calls.stream()
                .filter(call -> call.file() != ANSWERS && call.kind() != 'U')
                .count();
    }

    long confirmations() {
        return said(calls.size()).size();
    }

    /** Number and hash of every entry whose whole answer was written before a call. */
    private Map<Integer, String> said(int before) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        calls.subList(0, before).stream()
                .filter(call -> call.file() == ANSWERS)
                .forEach(call -> out.writeBytes(call.bytes()));
        String text = out.toString(StandardCharsets.UTF_8);
        Map<Integer, String> said = new TreeMap<>();
        for (String line : text.substring(0, text.lastIndexOf('\n') + 1).split("\n")) {
            SmallShop.confirmed(line).ifPresent(entry -> said.put(entry.getKey(), entry.getValue()));
        }
        return said;
    }

    /** Confirmations that were written while the write-ahead log held writes not yet synced. */
    List<String> confirmedBeforeSynced() {
        List<String> wrong = new ArrayList<>();
        boolean synced = true;
        for (Call call : calls) {
            if (call.file() == LOG) {
                synced = call.kind() == 'S' || call.kind() == 'U' || synced && call.kind() != 'W';
            } else if (call.file() == ANSWERS && !synced) {
                wrong.add("an answer was written before the log was synced");
            }
        }
        return wrong;
    }

    /**
     * What is left in a folder when the power is cut before a call.
     *
     * @param torn where given, some unsynced sectors survive too, as it happens; otherwise none
     * @return number and hash of what was confirmed before
     */
    Map<Integer, String> cut(int before, byte[] database, Path folder, Optional<SplittableRandom> torn)
            throws IOException {
        Image main = new Image(database);
        Image log = new Image(new byte[0]);
        boolean logThere = false;
        for (Call call : calls.subList(0, before)) {
            if (call.file() == ANSWERS) {
                continue;
            }
            Image image = call.file() == DATABASE ? main : log;
            switch (call.kind()) {
                case 'W', 'T' -> image.pending.add(call);
                case 'S' -> image.settle();
                default -> {
                    log = new Image(new byte[0]);
                    logThere = false;
                    continue;
                }
            }
            logThere |= call.file() == LOG;
        }
        torn.ifPresent(main::tear);
        Files.write(folder.resolve("logbook.db"), main.durable);
        if (logThere) {
            Image left = log;
            torn.ifPresent(left::tear);
            Files.write(folder.resolve("logbook.db-wal"), left.durable);
        }
        return said(before);
    }

    /** A file: what is surely on the disk, and what was written since. */
    private static final class Image {
        private final List<Call> pending = new ArrayList<>();
        private byte[] durable;

        Image(byte[] durable) {
            this.durable = durable.clone();
        }

        void settle() {
            pending.forEach(call -> apply(call, 0, call.bytes().length));
            pending.clear();
        }

        /** Some sectors of what was not synced reach the disk. */
        void tear(SplittableRandom random) {
            for (Call call : pending) {
                if (call.kind() == 'T') {
                    if (random.nextBoolean()) {
                        apply(call, 0, 0);
                    }
                    continue;
                }
                for (int from = 0; from < call.bytes().length; from += SECTOR) {
                    if (random.nextBoolean()) {
                        apply(call, from, Math.min(call.bytes().length, from + SECTOR));
                    }
                }
            }
        }

        private void apply(Call call, int from, int to) {
            if (call.kind() == 'T') {
                durable = Arrays.copyOf(durable, (int) call.at());
                return;
            }
            int at = (int) call.at() + from;
            if (durable.length < at + to - from) {
                durable = Arrays.copyOf(durable, at + to - from);
            }
            System.arraycopy(call.bytes(), from, durable, at, to - from);
        }
    }
}
