package zebrawood.json;

/** Where a value stands in a JSON text: {@code marks[2].widthMm}. Written out only where something is said of it. */
final class Spot {

    static final Spot TOP = new Spot(null, "", -1);

    private final Spot within;
    private final String key;
    private final int index;

    private Spot(Spot within, String key, int index) {
        this.within = within;
        this.key = key;
        this.index = index;
    }

    Spot field(String name) {
        return new Spot(this, name, -1);
    }

    Spot item(int at) {
        return new Spot(this, "", at);
    }

    boolean isTop() {
        return within == null;
    }

    @Override
    public String toString() {
        if (isTop()) {
            return "";
        } else if (index >= 0) {
            return within + "[" + index + "]";
        }
        return within.isTop() ? key : within + "." + key;
    }
}
