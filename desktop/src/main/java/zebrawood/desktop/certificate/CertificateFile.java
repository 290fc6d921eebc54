package zebrawood.desktop.certificate;

import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import zebrawood.desktop.desk.Desk;
import zebrawood.logbook.store.LogbookException;

/** Saves a certificate from the window. */
public final class CertificateFile {

    private CertificateFile() {}

    public static void save(Desk desk, String shop, String machineId, Window window, Consumer<String> tell) {
        String name = desk.machine(machineId).orElseThrow().plate().name();
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Certificate of " + name);
        chooser.setInitialFileName(fileName(name));
        File file = chooser.showSaveDialog(window);
        if (file == null) {
            return;
        }
        Certificate.Moment moment = new Certificate.Moment(desk.now(), desk.zone(), desk.units().get(), desk.preferences().paper());
        desk.later(() -> {
            try (OutputStream out = Files.newOutputStream(file.toPath())) {
                Certificate.write(Certificate.Subject.of(shop, desk.logbook(), machineId, moment), out);
                return file;
            } catch (IOException e) {
                throw new LogbookException("the certificate could not be saved in " + file + "; choose another folder", e);
            }
        }, saved -> tell.accept("The certificate of " + name + " stands in " + saved + "."));
    }

    /** The name of the file where none is given. */
    public static String fileName(String machine) {
        return "certificate-" + machine.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-") + ".pdf";
    }
}
