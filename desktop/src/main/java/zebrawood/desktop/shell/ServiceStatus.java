package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import zebrawood.core.route.Gate;
import zebrawood.core.route.MachineStatus;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.safety.CountDown;
import zebrawood.kit.view.Words;

/** At the foot of every page: on which machines covers are open, and for how long yet. */
final class ServiceStatus {

    private ServiceStatus() {}

    static List<Label> of(Desk desk, List<MachineStatus> machines) {
        List<Label> all = new ArrayList<>();
        for (MachineStatus machine : machines) {
            if (machine.gate().service().isPresent()) {
                Gate.Service service = machine.gate().service().get();
                String name = machine.plate().name();
                Label label = service.running()
                        ? new CountDown(desk, service.until(), name + ", covers open: ")
                        : Words.label(name + ": left open, test covers and interlock");
                label.setId("service-" + machine.machineId());
                label.setMinWidth(Region.USE_PREF_SIZE);
                label.getStyleClass().add("service");
                all.add(label);
            }
        }
        return all;
    }
}
