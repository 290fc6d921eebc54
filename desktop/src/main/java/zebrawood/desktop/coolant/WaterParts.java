package zebrawood.desktop.coolant;

import java.util.List;
import zebrawood.desktop.bench.ChoiceField.Choice;

/** The three that make up the care of a machine's water, each due in its own time: filled, cooled, kept above the dew point. */
final class WaterParts {

    static final String FILLING = "coolant-mix";
    static final String HEAT = "coolant-heat";
    static final String SETPOINT = "coolant-setpoint";
    static final List<Choice> ALL = List.of(new Choice(FILLING, "Filling"), new Choice(HEAT, "Water heat"), new Choice(SETPOINT, "Set-point"));

    private WaterParts() {}
}
