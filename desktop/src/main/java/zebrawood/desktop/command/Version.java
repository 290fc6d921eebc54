package zebrawood.desktop.command;

/** The version of the program, as entries and certificates name it; a test holds it to the build's. */
public final class Version {

    public static final String TEXT = "0.2.0";

    private Version() {}
}
