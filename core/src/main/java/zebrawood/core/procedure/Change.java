package zebrawood.core.procedure;

import java.util.Set;

/** What can happen to a machine that makes earlier findings stale, or puts bars of its gate back in hand. */
public enum Change {
    MOVED("Moved", "moved", "where to", Set.of()),
    SOURCE_CHANGED("Source changed", "source changed", "which one, and why", Set.of()),
    LENS_CHANGED("Lens out and back", "lens out and back", "which one came out, which one sits there now", Set.of()),
    CLEANED("Cleaned", "cleaned", "with what, how it looks now", Set.of()),
    COOLANT_WORK("Coolant work", "coolant work", "what was done: water, hose, pump, filter", Set.of("water")),
    MAINS_WORK(
            "Mains work",
            "mains work",
            "what was done, and by which licensed person",
            Set.of("wiring", "earth", "stop", "interlock")),
    PART_FITTED(
            "Part fitted",
            "part fitted",
            "which part, and why",
            Set.of("films", "wiring", "fibre", "earth", "water", "extraction", "stop", "interlock", "air", "pulse")),
    KNOCKED(
            "Knocked",
            "knocked",
            "by what, and where it was hit",
            Set.of("wiring", "fibre", "water", "stop", "interlock", "pulse")),
    COVERS_OFF(
            "Covers off",
            "covers off",
            "which covers were off, and that they are back",
            Set.of("wiring", "stop", "interlock")),
    FIRED_DRY(
            "Fired without water",
            "fired without water",
            "for how long, and what was seen; nobody is blamed, the source may be hurt",
            Set.of("water", "pulse")),
    LEFT_ALONE(
            "Left running alone",
            "left running alone",
            "for how long, and what was found; nobody is blamed, it is looked at again",
            Set.of("extraction", "stop")),
    STOCK_CHANGED("Stock or riser", "stock or riser changed", "how thick it is now, riser and all", Set.of()),
    NOZZLE_CHANGED("Nozzle changed", "nozzle changed", "which one came off, which one sits there now", Set.of()),
    BED_CHANGED("Bed changed", "bed changed", "which grate, comb or table lies there now", Set.of()),
    GAP_SET("Gap set", "gap set", "with which block, on which stock", Set.of());

    private final String title;
    private final String words;
    private final String asks;
    private final Set<String> bars;

    Change(String title, String words, String asks, Set<String> bars) {
        this.title = title;
        this.words = words;
        this.asks = asks;
        this.bars = bars;
    }

    /** What happened, as a heading: Lens changed. */
    public String title() {
        return title;
    }

    /** Within a sentence: {@code lens out and back}. */
    public String words() {
        return words;
    }

    /** What to write beside it. */
    public String asks() {
        return asks;
    }

    /** Whether nothing may fire after it until every bar of the gate is lifted anew. */
    public boolean shutsGate() {
        return this == MOVED || this == SOURCE_CHANGED;
    }

    /** Bars of the gate that are in hand again after it, by id; where {@link #shutsGate} all of them are. */
    public Set<String> bars() {
        return bars;
    }
}
