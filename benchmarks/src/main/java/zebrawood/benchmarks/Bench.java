package zebrawood.benchmarks;

/** {@code ./zebrawood bench WORD}: runs one benchmark and prints its figures. */
public final class Bench {

    private Bench() {}

    public static void main(String[] words) throws Exception {
        String word = words.length == 0 ? "" : words[0];
        boolean kept;
        switch (word) {
            case "focus" -> kept = FocusCoverage.run();
            case "solve" -> kept = HostileLines.run();
            case "durability" -> kept = Durability.run(words);
            case "logbook" -> kept = LogbookSpeed.run(words);
            default -> {
                System.out.println("bench focus   how often the stated interval of a ramp holds the true best gap");
                System.out.println("bench durability programs killed while recording, power cuts, failing disks (--runs N, --windows N, --cuts N)");
                System.out.println("bench logbook a shop of 500 machines and 5,000,000 entries (--entries N, --machines N, --keep DIR)");
                System.out.println("bench solve   hostile and plain worksheets: answers, memory, speed");
                kept = word.isEmpty();
            }
        }
        System.exit(kept ? 0 : 1);
    }
}
