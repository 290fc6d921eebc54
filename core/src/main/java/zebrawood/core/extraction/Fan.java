package zebrawood.core.extraction;

import java.util.List;
import java.util.OptionalDouble;

/** A fan by its curve, straight lines between the points, with air of another density than the curve is for. */
final class Fan {

    /** far below what can be read, and above what rounding leaves */
    private static final double FLOW_M3H = 1e-10;
    /** more than a double can be halved; only an end for the loop */
    private static final int HALVINGS = 200;

    private final List<ExtractionReadings.FanPoint> curve;
    private final Air air;
    private final double share;

    Fan(List<ExtractionReadings.FanPoint> curve, Air air) {
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
        ExtractionReadings.FanPoint from = curve.get(after - 1);
        ExtractionReadings.FanPoint to = curve.get(after);
        return share
                * (from.pressurePa()
                        + (to.pressurePa() - from.pressurePa())
                                * (flowM3h - from.flowM3h())
                                / (to.flowM3h() - from.flowM3h()));
    }

    /** m³/h where fan and layout meet; the last flow of the curve where the layout takes less even there. */
    double operatingFlow(Layout layout) {
        double last = lastFlow();
        if (layout.pressurePa(last, air) <= within(last)) {
            return last;
        }
        // halved, so that neither a step in the friction nor sizes beyond all sense lead astray
        double less = 0;
        double more = last;
        for (int i = 0; i < HALVINGS && more - less > FLOW_M3H; i++) {
            double flow = (less + more) / 2;
            if (layout.pressurePa(flow, air) <= within(flow)) {
                less = flow;
            } else {
                more = flow;
            }
        }
        return less;
    }
}
