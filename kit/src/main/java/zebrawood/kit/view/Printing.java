package zebrawood.kit.view;

import javafx.print.PageLayout;
import javafx.print.PageOrientation;
import javafx.print.Printer;
import javafx.print.PrinterJob;
import javafx.scene.Node;
import javafx.scene.transform.Scale;

/** Prints a part of the window, scaled to the page. */
public final class Printing {

    private Printing() {}

    /** Asks for a printer and prints; without a printer it says what to do instead. */
    public static void print(Node node) {
        PrinterJob job = Printer.getDefaultPrinter() == null ? null : PrinterJob.createPrinterJob();
        if (job == null) {
            Notice.show(
                    node, "There is no printer here. The certificate makes a PDF, and a drawing can be saved as SVG.");
            return;
        }
        if (Paper.LETTER == node.getScene().getRoot().getProperties().get(Paper.class)) {
            job.getJobSettings()
                    .setPageLayout(job.getPrinter()
                            .createPageLayout(
                                    javafx.print.Paper.NA_LETTER,
                                    PageOrientation.PORTRAIT,
                                    Printer.MarginType.DEFAULT));
        }
        if (job.showPrintDialog(node.getScene().getWindow())) {
            PageLayout page = job.getJobSettings().getPageLayout();
            double scale = Math.min(
                    page.getPrintableWidth() / node.getLayoutBounds().getWidth(),
                    page.getPrintableHeight() / node.getLayoutBounds().getHeight());
            Scale fit = new Scale(scale, scale);
            node.getTransforms().add(fit);
            boolean printed = job.printPage(page, node);
            node.getTransforms().remove(fit);
            if (printed) {
                job.endJob();
            }
        }
    }
}
