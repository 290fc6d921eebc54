package zebrawood.desktop.certificate;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Scene;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.paper.FileName;
import zebrawood.kit.view.FileDialogs;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.OutputFile;

/** Saves a certificate from the window. */
public final class CertificateFile {

    private CertificateFile() {}

    public static void save(Desk desk, String shop, String machineId, Scene scene, Consumer<String> tell) {
        String name = desk.machine(machineId).orElseThrow().plate().name();
        Optional<Path> file = FileDialogs.toSave(scene, FileName.of("certificate", name));
        if (file.isEmpty()) {
            return;
        }
        Certificate.Making making = new Certificate.Making(
                desk.now(), desk.zone(), desk.units().get(), desk.preferences().paper());
        desk.later(
                () -> {
                    Certificate.Subject subject = Certificate.Subject.of(shop, desk.logbook(), machineId, making);
                    try {
                        return OutputFile.write(file.get(), true, out -> {
                            Certificate.write(subject, out);
                            return file.get();
                        });
                    } catch (IOException e) {
                        throw new LogbookException(
                                "the certificate could not be saved in " + file.get() + "; choose another folder", e);
                    }
                },
                saved -> tell.accept("The certificate of " + name + " stands in " + saved + "."));
    }
}
