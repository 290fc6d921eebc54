package zebrawood.desktop.eyewear;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import zebrawood.core.eyewear.Eyewear;
import zebrawood.core.eyewear.EyewearFinding;
import zebrawood.core.eyewear.EyewearReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.kit.view.Paper;
import zebrawood.testsupport.Drawn;
import zebrawood.testsupport.Plates;

class NoticeTest {

    private static EyewearFinding beam(
            double nm, double watts, Optional<EyewearReadings.Covers> covers, Optional<EyewearReadings.Notice> notice) {
        return new Eyewear()
                .evaluate(new EyewearReadings(
                        nm,
                        watts,
                        Optional.empty(),
                        5,
                        1,
                        Optional.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        covers,
                        OptionalInt.empty(),
                        Optional.empty(),
                        notice))
                .finding();
    }

    private static Drawn drawn(Plate plate, EyewearFinding finding) {
        return Drawn.of(NoticeFigure.of(plate, finding), NoticeFigure.WIDTH, NoticeFigure.HEIGHT);
    }

    @Test
    void itSaysWhichEyewearWhomToAskAndWhen() {
        Plate heron = Plates.lasing("Heron", Family.GALVO_FIBRE, 1064);
        Drawn full = drawn(
                heron,
                beam(
                        1064,
                        30,
                        Optional.of(EyewearReadings.Covers.OPEN),
                        Optional.of(new EyewearReadings.Notice(Optional.of("4"), Optional.of("GA")))));
        assertThat(full.words())
                .contains("Laser in use", "1064 nm, 30 W, class 4", "You do not see this beam.", "In operation: from");
        assertThat(full.crowded(NoticeFigure.WIDTH, NoticeFigure.HEIGHT)).isEmpty();
        Drawn shut = drawn(
                Plates.lasing("Wren", Family.GANTRY_CO2, 450),
                beam(450, 8, Optional.of(EyewearReadings.Covers.SHUT), Optional.empty()));
        assertThat(shut.words())
                .as("nobody is named, and there is room to write")
                .contains("When a cover is open: eyewear", "____")
                .doesNotContain("You do not see");
        Drawn faint = drawn(heron, beam(1064, 1e-5, Optional.empty(), Optional.empty()));
        assertThat(faint.words()).contains("Ask which eyewear is needed");
    }

    @Test
    void theLongestNamesStayOnThePage() throws IOException {
        Plate longest = Plates.lasing("Wren of the second bench room by the yard gate, left", Family.GANTRY_CO2, 10600);
        EyewearFinding finding = beam(
                10600,
                1234.5,
                Optional.of(EyewearReadings.Covers.SHUT),
                Optional.of(new EyewearReadings.Notice(Optional.of("4"), Optional.of("G".repeat(40)))));
        assertThat(drawn(longest, finding).crowded(NoticeFigure.WIDTH, NoticeFigure.HEIGHT))
                .isEmpty();
        for (Paper paper : Paper.values()) {
            ByteArrayOutputStream pdf = new ByteArrayOutputStream();
            NoticeFile.write(longest, finding, "14 March 2031", paper, pdf);
            try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
                assertThat(document.getNumberOfPages()).as(paper.name()).isEqualTo(1);
                assertThat(new PDFTextStripper().getText(document))
                        .contains("Laser in use", "laser safety officer checks");
                assertThat(document.getDocumentCatalog().getMarkInfo().isMarked())
                        .isTrue();
            }
        }
    }
}
