package zebrawood.core.mirrors;

/**
 * Points that are spread like a standard normal distribution, always the same ones: a Kronecker sequence by the roots
 * of {@code x^(d+1) = x + 1} (Roberts' sequence), made normal by Box and Muller.
 */
final class Normals {

    /** how many numbers a point has */
    static final int WIDE = 8;

    private static final int MANY = 512;
    private static final double[][] POINTS = points();

    private Normals() {}

    /** A point, of as many as anybody asks for; they come again after some hundreds. */
    static double[] point(int index) {
        return POINTS[index % MANY];
    }

    private static double[][] points() {
        double root = 1.5;
        for (int i = 0; i < 60; i++) {
            root = Math.pow(1 + root, 1.0 / (WIDE + 1));
        }
        double[][] points = new double[MANY][WIDE];
        for (int i = 0; i < MANY; i++) {
            for (int pair = 0; pair < WIDE; pair += 2) {
                double first = fraction(0.5 + (i + 1) * Math.pow(root, -pair - 1.0));
                double second = fraction(0.5 + (i + 1) * Math.pow(root, -pair - 2.0));
                double radius = Math.sqrt(-2 * Math.log(Math.max(first, 1e-9)));
                points[i][pair] = radius * Math.cos(2 * Math.PI * second);
                points[i][pair + 1] = radius * Math.sin(2 * Math.PI * second);
            }
        }
        return points;
    }

    private static double fraction(double value) {
        return value - Math.floor(value);
    }
}
