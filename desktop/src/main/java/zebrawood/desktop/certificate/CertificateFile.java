package zebrawood.desktop.certificate;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Scene;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.FileDialogs;
import zebrawood.logbook.store.LogbookException;

/** Saves a certificate from the window. */
public final class CertificateFile {

    private CertificateFile() {}

    public static void save(Desk desk, String shop, String machineId, Scene scene, Consumer<String> tell) {
        String name = desk.machine(machineId).orElseThrow().plate().name();
        Optional<Path> file = FileDialogs.toSave(scene, fileName(name));
        if (file.isEmpty()) {
            return;
        }
        Certificate.Making making = new Certificate.Making(
                desk.now(), desk.zone(), desk.units().get(), desk.preferences().paper());
        desk.later(
                () -> {
                    try (OutputStream out = Files.newOutputStream(file.get())) {
                        Certificate.write(Certificate.Subject.of(shop, desk.logbook(), machineId, making), out);
                        return file.get();
                    } catch (IOException e) {
                        throw new LogbookException(
                                "the certificate could not be saved in " + file.get() + "; choose another folder", e);
                    }
                },
                saved -> tell.accept("The certificate of " + name + " stands in " + saved + "."));
    }

    /** The name of the file where none is given. */
    public static String fileName(String machine) {
        return "certificate-" + machine.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-") + ".pdf";
    }
}
