package zebrawood.core.exhaust;

import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.analysis.solvers.BrentSolver;

/** A fan by its curve, straight lines between the points, with air of another density than the curve is for. */
final class Fan {

    private static final double FLOW_M3H = 1e-9;
    private static final int MOST = 500;

    private final List<ExhaustReadings.FanPoint> curve;
    private final Air air;
    private final double share;

    Fan(List<ExhaustReadings.FanPoint> curve, Air air) {
        this.curve = curve;
        this.air = air;
        share = air.density() / Air.USUAL.density();
    }

    double lastFlow() {
        return curve.get(curve.size() - 1).flowM3h();
    }

    /** Pa at a flow; nothing beyond the curve. */
    OptionalDouble pressurePa(double flowM3h) {
        return flowM3h > lastFlow() ? OptionalDouble.empty() : OptionalDouble.of(within(flowM3h));
    }

    private double within(double flowM3h) {
        int after = 1;
        while (after < curve.size() - 1 && curve.get(after).flowM3h() < flowM3h) {
            after++;
        }
        ExhaustReadings.FanPoint from = curve.get(after - 1);
        ExhaustReadings.FanPoint to = curve.get(after);
        return share * (from.pressurePa() + (to.pressurePa() - from.pressurePa()) * (flowM3h - from.flowM3h()) / (to.flowM3h() - from.flowM3h()));
    }

    /** m³/h where fan and layout meet; the last flow of the curve where the layout takes less even there. */
    double operatingFlow(Layout layout) {
        double last = lastFlow();
        if (layout.pressurePa(last, air) <= within(last)) {
            return last;
        }
        return new BrentSolver(FLOW_M3H, FLOW_M3H).solve(MOST, flow -> layout.pressurePa(flow, air) - within(flow), 0, last);
    }
}
