package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.beam.Spot;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.mirrors.MirrorResponse;
import zebrawood.core.mirrors.ResponseFinding;
import zebrawood.core.mirrors.ResponseReadings;
import zebrawood.core.procedure.Outcome;

/** What is done at a gantry without a plan, mirror by mirror, each shot counted. */
final class ByHand {

    /** a trial turn, turns: small enough to stay on the card */
    private static final double TRIAL = 0.1;
    /** rounds after which somebody gives up on a mirror */
    private static final int ROUNDS = 8;

    private static final double NEAR_MM = 120;

    private final Gantry gantry;
    private int shots;

    ByHand(Gantry gantry) {
        this.gantry = gantry;
    }

    int shots() {
        return shots;
    }

    /** Near and far on each run: the far mark is brought to the near one. */
    void nearAndFar(double toleranceMm) {
        for (int mirror = 1; mirror <= 2; mirror++) {
            List<ResponseReadings.Move> moves = new ArrayList<>();
            for (int round = 0; round < ROUNDS; round++) {
                Spot near = shoot(mirror, true);
                Spot far = shoot(mirror, false);
                if (near.distanceMm(far) <= toleranceMm) {
                    break;
                }
                bring(mirror, far, near, moves, toleranceMm);
            }
        }
    }

    /** The quick school: far marks are brought to the middle, and nobody looks at the near ones. */
    void centred(double toleranceMm) {
        for (int mirror = 1; mirror <= 2; mirror++) {
            List<ResponseReadings.Move> moves = new ArrayList<>();
            for (int round = 0; round < ROUNDS; round++) {
                Spot far = shoot(mirror, false);
                if (far.fromCentreMm() <= toleranceMm) {
                    break;
                }
                bring(mirror, far, new Spot(0, 0), moves, toleranceMm);
            }
        }
    }

    private void bring(int mirror, Spot spot, Spot aim, List<ResponseReadings.Move> moves, double toleranceMm) {
        Spot now = spot;
        if (moves.isEmpty()) {
            for (int screw = 0; screw < 2; screw++) {
                gantry.turn(mirror, screw, TRIAL);
                Spot then = shoot(mirror, false);
                moves.add(new ResponseReadings.Move(
                        screw == 0 ? TRIAL : 0,
                        screw == 1 ? TRIAL : 0,
                        then.xMm() - now.xMm(),
                        then.yMm() - now.yMm()));
                now = then;
            }
        }
        Outcome<ResponseFinding> said = new MirrorResponse()
                .evaluate(new ResponseReadings(moves, now, aim, OptionalDouble.of(toleranceMm / 4)));
        turn(mirror, 0, said.finding().turnsA().orElse(0));
        turn(mirror, 1, said.finding().turnsB().orElse(0));
    }

    /** Anticlockwise a little too far, then back: the play is taken up. */
    private void turn(int mirror, int screw, double turns) {
        double hundredths = Math.rint(100 * turns) / 100;
        double back = hundredths < 0 ? 0.06 : 0;
        gantry.turn(mirror, screw, hundredths - back);
        gantry.turn(mirror, screw, back);
    }

    private Spot shoot(int mirror, boolean near) {
        shots++;
        double[] mark =
                mirror == 1 ? gantry.shoot(1, near ? NEAR_MM : 620, 0) : gantry.shoot(2, 370, near ? NEAR_MM : 820);
        return new Spot(mark[0], mark[1]);
    }
}
