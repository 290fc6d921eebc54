package zebrawood.kit.figure;

/** A drawing of any size. It knows nothing of what it is drawn on. */
@FunctionalInterface
public interface Figure {

    /** Draws into the area from (0, 0) to (width, height), y downwards. */
    void draw(Pen pen, double width, double height);

    /** Nothing. */
    Figure EMPTY = (pen, width, height) -> {};
}
