package zebrawood.core.gantry;

import java.util.SplittableRandom;

/**
 * A gantry whose beam is traced by true reflection in three dimensions. Tube at the back, firing to the left; mirror 1
 * at the back on the left; mirror 2 on the gantry, on the left; the head on the gantry's rail. Nothing in it is linear,
 * and nothing of it is known to whoever aligns it but what its cards show.
 */
public final class Gantry {

    private static final double ROOT_HALF = Math.sqrt(0.5);
    private static final Vector UP = new Vector(0, 0, 1);
    /** 1/e² radius of the beam, mm */
    private static final double BEAM_MM = 2.5;
    /** how likely a loose mirror moves between two shots */
    private static final double JUMPS = 0.6;

    private static final double JUMP_MRAD = 2;

    private final SplittableRandom random;
    private final Build build;
    private final Ray tube;
    private final Mount[] mounts = new Mount[2];
    private final double[][] found = new double[2][2];
    private final double[][] stands = new double[2][2];
    private final double[][] followed = new double[2][2];
    private final double[][] below = new double[2][2];
    private final int flawed;
    private final double[] bend = new double[4];
    private final double openingMm;

    /** A machine drawn at random; the same random numbers always give the same machine. */
    public Gantry(SplittableRandom random, Build build) {
        this.random = random;
        this.build = build;
        tube = new Ray(
                new Vector(400, either(build.tubeMm()), either(build.tubeMm())),
                new Vector(-1, either(build.tubeMrad()) / 1000, either(build.tubeMrad()) / 1000).unit());
        flawed = random.nextInt(2);
        for (int mirror = 0; mirror < 2; mirror++) {
            Vector normal = mirror == 0 ? new Vector(ROOT_HALF, -ROOT_HALF, 0) : new Vector(ROOT_HALF, ROOT_HALF, 0);
            mounts[mirror] = mount(normal, build.flaw() == Flaw.MISPLACED_MIRROR && mirror == flawed);
            // a mirror that is turned by d turns its beam by 2 d, tipped by d by 2 d cos 45
            found[mirror][0] = either(build.mirrorMrad()) / 2000;
            found[mirror][1] = either(build.mirrorMrad()) / (2000 * ROOT_HALF);
            for (int screw = 0; screw < 2; screw++) {
                below[mirror][screw] = random.nextDouble() * build.playTurns();
            }
        }
        if (build.flaw() == Flaw.BENT_RAIL) {
            for (int i = 0; i < bend.length; i++) {
                bend[i] = (random.nextBoolean() ? 1 : -1) * (1.2 + 1.3 * random.nextDouble());
            }
            bend[random.nextInt(2)] = 0;
        }
        openingMm = build.flaw() == Flaw.CLIPPING ? 3 + 2 * random.nextDouble() : Double.POSITIVE_INFINITY;
    }

    private Mount mount(Vector normal, boolean misplaced) {
        boolean swapped = random.nextBoolean();
        Vector across = UP.cross(normal).unit();
        double[] radPerTurn = new double[2];
        double[] crossTalk = new double[2];
        for (int screw = 0; screw < 2; screw++) {
            double factor =
                    build.gainShare() < 1 ? 1 + either(build.gainShare()) : Math.pow(build.gainShare(), either(1));
            radPerTurn[screw] = (random.nextBoolean() ? 1 : -1) * Build.PITCH_MM / Build.ARM_MM * factor;
            crossTalk[screw] = build.crossTalk() * normal(random);
        }
        double away = misplaced ? (random.nextBoolean() ? 1 : -1) * (7 + 4 * random.nextDouble()) : 0;
        return new Mount(
                new Vector(0, 0, 0),
                normal,
                normal.times(away),
                swapped ? across : UP,
                swapped ? UP : across,
                radPerTurn,
                crossTalk,
                new double[] {build.playTurns(), build.playTurns()});
    }

    /**
     * Knocks both mirrors out of true, by up to so much each way, mrad of the beam; their mounts stay what they are.
     */
    public void knock(double mrad) {
        for (double[] mirror : found) {
            mirror[0] += either(mrad) / 2000;
            mirror[1] += either(mrad) / (2000 * ROOT_HALF);
        }
    }

    /** Turns a screw, clockwise positive. */
    public void turn(int mirror, int screw, double turns) {
        int m = mirror - 1;
        stands[m][screw] += turns;
        double play = mounts[m].playTurns()[screw];
        double least = stands[m][screw] - (play - below[m][screw]);
        double most = stands[m][screw] + below[m][screw];
        followed[m][screw] = Math.min(most, Math.max(least, followed[m][screw]));
    }

    /**
     * Shoots: where the mark is read, mm to the right and up, seen facing the beam.
     *
     * @param mirror 1 on a card at mirror 2, 2 on a card at the head
     * @param gantryMm from mirror 1 to mirror 2
     * @param carriageMm from mirror 2 to the head
     */
    public double[] shoot(int mirror, double gantryMm, double carriageMm) {
        if (build.flaw() == Flaw.LOOSE_MIRROR && random.nextDouble() < JUMPS) {
            found[flawed][0] += JUMP_MRAD / 2000 * normal(random);
            found[flawed][1] += JUMP_MRAD / 2000 * normal(random);
        }
        double[] spot = spot(mirror, gantryMm, carriageMm);
        return new double[] {
            spot[0] + build.markErrorMm() * normal(random), spot[1] + build.markErrorMm() * normal(random)
        };
    }

    /** Where the mark truly sits. */
    public double[] spot(int mirror, double gantryMm, double carriageMm) {
        Ray first = tube.reflected(mounts[0].aside(), facing(0));
        Vector second = new Vector(0, -gantryMm, 0);
        if (mirror == 1) {
            Vector mark = first.meets(second, new Vector(0, 1, 0));
            return new double[] {mark.x(), mark.z()};
        }
        double share = 2 * (gantryMm - build.nearMm()) / build.bedYMm() - 1;
        double along = 2 * (carriageMm - build.nearMm()) / build.bedXMm() - 1;
        // a rail that is bowed turns what rides on it, ever more towards its ends
        double yaw = bend[0] / 1000 * share;
        double pitch = bend[1] / 1000 * share;
        Vector facing = facing(1).turned(UP, yaw).turned(new Vector(1, 0, 0), pitch);
        Ray onward = first.reflected(second.plus(mounts[1].aside()), facing);
        Vector rail = new Vector(1, 0, 0).turned(UP, yaw);
        Vector head = second.plus(rail.times(carriageMm));
        Vector mark = onward.meets(head, rail);
        double bow = 1 - along * along;
        return clipped(
                mark.minus(head).dot(new Vector(0, 1, 0)) + bend[2] * bow,
                mark.minus(head).dot(UP) + bend[3] * bow);
    }

    private Vector facing(int mirror) {
        return mounts[mirror].facing(followed[mirror], found[mirror][0], found[mirror][1]);
    }

    /** The middle of what an opening lets through of a round beam whose middle is there. */
    private double[] clipped(double x, double y) {
        if (Double.isInfinite(openingMm)) {
            return new double[] {x, y};
        }
        double sum = 0;
        double sumX = 0;
        double sumY = 0;
        for (int ring = 0; ring < 12; ring++) {
            double r = openingMm * Math.sqrt((ring + 0.5) / 12);
            for (int step = 0; step < 36; step++) {
                double px = r * Math.cos(2 * Math.PI * step / 36);
                double py = r * Math.sin(2 * Math.PI * step / 36);
                double light =
                        Math.exp(-2 * ((px - x) * (px - x) + (py - y) * (py - y)) / (BEAM_MM * BEAM_MM)) + 1e-300;
                sum += light;
                sumX += light * px;
                sumY += light * py;
            }
        }
        return new double[] {sumX / sum, sumY / sum};
    }

    /** The largest distance between the true marks at two corners of the bed, mm. */
    public double spreadMm() {
        double[][] marks = new double[4][];
        for (int i = 0; i < 4; i++) {
            marks[i] = spot(
                    2,
                    build.nearMm() + (i % 2 == 0 ? 0 : build.bedYMm()),
                    build.nearMm() + (i < 2 ? 0 : build.bedXMm()));
        }
        double most = 0;
        for (double[] one : marks) {
            for (double[] other : marks) {
                most = Math.max(most, Math.hypot(one[0] - other[0], one[1] - other[1]));
            }
        }
        return most;
    }

    /** Which mirror is loose or misplaced, 1 or 2. */
    public int flawedMirror() {
        return flawed + 1;
    }

    private double either(double bound) {
        return bound * (2 * random.nextDouble() - 1);
    }

    private static double normal(SplittableRandom random) {
        return Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
    }
}
