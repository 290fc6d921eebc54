package zebrawood.core.mirrors;

/** The two screws of a mount that are turned; the third stays as it is. */
public enum Screw {
    A,
    B
}
