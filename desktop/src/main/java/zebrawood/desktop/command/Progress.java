package zebrawood.desktop.command;

import java.util.function.LongConsumer;

/** Says on standard error how far long work has come, about once a second. */
final class Progress {

    private static final long SECOND = 1_000_000_000L;

    private Progress() {}

    static LongConsumer onError(String done) {
        long[] last = {System.nanoTime()};
        return count -> {
            long now = System.nanoTime();
            if (now - last[0] > SECOND) {
                last[0] = now;
                System.err.println(count + " entries " + done + " ...");
            }
        };
    }
}
