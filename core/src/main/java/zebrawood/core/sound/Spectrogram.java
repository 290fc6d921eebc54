package zebrawood.core.sound;

/**
 * How strong a recording is over time and pitch: a column for each short time, a power in each for each band of pitch.
 */
public final class Spectrogram {

    private final double columnS;
    private final double[] edgesHz;
    private final float[][] columns;
    private final double clipped;

    /**
     * @param columnS how long one column lasts, s
     * @param edgesHz rising; band b lies between edge b and edge b + 1
     * @param columns powers, any unit, by column and band
     * @param clipped share of the samples that stand at the largest number there is, 0 to 1
     */
    Spectrogram(double columnS, double[] edgesHz, float[][] columns, double clipped) {
        this.columnS = columnS;
        this.edgesHz = edgesHz.clone();
        this.columns = columns;
        this.clipped = clipped;
    }

    /** How long one column lasts, s. */
    public double columnS() {
        return columnS;
    }

    /** How many columns there are. */
    public int columns() {
        return columns.length;
    }

    /** How many bands there are. */
    public int bands() {
        return edgesHz.length - 1;
    }

    /** How long the recording is, s. */
    public double lengthS() {
        return columns.length * columnS;
    }

    /** The lower edge of a band, or the upper one of the band before it, Hz. */
    public double edgeHz(int band) {
        return edgesHz[band];
    }

    /** How strong it is, any unit. */
    public double power(int column, int band) {
        return columns[column][band];
    }

    /** Whether it was recorded so loud that its loudest moments are lost, so that they cannot be compared. */
    public boolean isTooLoud() {
        return clipped > 1e-3;
    }
}
