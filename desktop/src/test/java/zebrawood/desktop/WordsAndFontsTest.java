package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.junit.jupiter.api.Test;
import zebrawood.benches.Catalogue;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Scripts;

class WordsAndFontsTest {

    /**
     * Everything the program says of itself is in the shipped cockpit face: nothing falls back, nothing shows as a box.
     */
    @Test
    void whatTheProgramSaysIsInTheCockpitFace() throws Exception {
        List<String> said = new ArrayList<>();
        Catalogue.stops().forEach(stop -> {
            Card card = stop.procedure().card();
            said.add(card.title());
            said.addAll(card.help().needed());
            said.addAll(card.help().how());
            said.addAll(card.help().cautions());
            said.add(card.help().why());
        });
        for (Family family : Family.values()) {
            Plate plate = new Plate(
                    "Wren",
                    family,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(new Plate.Source(
                            Optional.empty(),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            List.of(10600.0),
                            OptionalDouble.empty())),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
            for (Bar bar : FirstLight.bars(plate)) {
                said.addAll(List.of(bar.title(), bar.action(), bar.look(), bar.yes()));
                bar.others().forEach(other -> said.addAll(List.of(other.words(), other.then())));
            }
        }
        for (Hazard hazard : Hazard.values()) {
            said.add(hazard.caution());
        }
        assertThat(said).hasSizeGreaterThan(150).allMatch(Scripts::isPlain);
    }

    /** What counts as the cockpit face's is really in the shipped file, bold too. */
    @Test
    void theShippedFontsHaveWhatIsAskedOfThem() throws Exception {
        try (PDDocument document = new PDDocument()) {
            for (String name : new String[] {"B612-Regular", "B612-Bold", "B612Mono-Regular"}) {
                PDFont font = PDType0Font.load(document, Fonts.file(name), true);
                for (int point = 0x20; point < 0x2300; point++) {
                    if (Scripts.script(point) == Scripts.Script.COCKPIT && point != 0xAD) {
                        assertThat(font.encode(new String(Character.toChars(point))))
                                .as("%s U+%04X", name, point)
                                .isNotEmpty();
                    }
                }
            }
            PDFont wider = PDType0Font.load(document, Fonts.file("DejaVuSans"), true);
            for (String sample : new String[] {"Ж", "щ", "Ω", "ώ", "ř", "ő", "→", "≥"}) {
                assertThat(wider.encode(sample)).as(sample).isNotEmpty();
            }
        }
    }
}
