package zebrawood.desktop.eyewear;

import java.util.List;
import java.util.function.Consumer;
import zebrawood.core.entry.Body;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.eyewear.Register;
import zebrawood.core.route.MachineStatus;
import zebrawood.desktop.desk.Desk;

/** What the shop's register of eyewear says of one machine, for whoever stands before its gate. */
public final class EnoughEyewear {

    private EnoughEyewear() {}

    /** Reads the register aside, and tells in a sentence whether it holds enough for this machine. */
    public static void tell(Desk desk, MachineStatus machine, Consumer<String> told) {
        desk.later(
                () -> desk.logbook().eyewear().stream()
                        .map(entry -> ((Body.EyewearSeen) entry.body()).pair())
                        .toList(),
                pairs -> told.accept(sentence(pairs, machine)));
    }

    private static String sentence(List<EyewearPair> pairs, MachineStatus machine) {
        Needs needs = Needs.of(machine);
        if (pairs.isEmpty()) {
            return "The shop's register of eyewear is empty. Wanted here: " + needs.inWords() + ".";
        }
        Register.Judged judged = Register.of(pairs).enough(needs.need());
        return "The register says: " + judged.why() + ". Wanted here: " + needs.inWords() + ".";
    }
}
