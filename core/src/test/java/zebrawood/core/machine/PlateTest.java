package zebrawood.core.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.site.SiteClimate;

class PlateTest {

    private static Plate bare(String name, Family family) {
        return new Plate(
                name,
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    @Test
    void aNameAndAFamilyAreEnoughAndWhatIsNotSaidIsUnknown() {
        Plate bare = bare("Wren", Family.GANTRY_CO2);

        assertThat(bare.presence(Plate.Part.INTERLOCK)).isEqualTo(Plate.Presence.UNKNOWN);
        assertThat(bare.presence(Plate.Part.WATER)).isEqualTo(Plate.Presence.UNKNOWN);
        assertThat(bare.presence(Plate.Part.AIR)).isEqualTo(Plate.Presence.UNKNOWN);
        assertThat(bare.presence(Plate.Part.FIBRE))
                .as("of this family none has one")
                .isEqualTo(Plate.Presence.NONE);
        assertThat(bare.mayHaveNumberedSettings()).isTrue();
        assertThat(bare.daysOutOfUse()).isEqualTo(60);
        assertThat(bare.datum()).isEqualTo("focus datum");
        assertThat(bare.line()).isEqualTo("gantry CO2");
    }

    @Test
    void whatIsAnsweredWithNoneIsOnThePlateAndNothingElseChanges() {
        for (Family family : Family.values()) {
            for (Plate.Part part : Plate.Part.values()) {
                Plate bare = bare("Wren", family);
                Plate answered = bare.withNone(part);
                assertThat(answered.presence(part)).isEqualTo(Plate.Presence.NONE);
                for (Plate.Part other : Plate.Part.values()) {
                    if (other != part) {
                        assertThat(answered.presence(other)).isEqualTo(bare.presence(other));
                    }
                }
            }
        }
    }

    @Test
    void aStopSaysWhichFieldItNeeds() {
        Plate bare = bare("Wren", Family.GANTRY_CO2);

        assertThat(new SiteClimate().lacks(bare)).contains("climate.minTemperatureC", "climate.maxHumidityPct");
        assertThat(new FocusRamp().lacks(bare)).containsExactly("source.wavelengthsNm[0]");
        assertThat(new CoolantHeat().lacks(bare)).containsExactly("services.cooling");
        assertThat(new CoolantHeat().appliesTo(bare.withNone(Plate.Part.WATER))).isFalse();
        assertThat(new ControllerSettings().appliesTo(bare))
                .as("it may have numbered settings")
                .isTrue();
    }

    @Test
    void aCuttingHeadHasNoRamp() {
        for (Family family : Family.values()) {
            assertThat(new FocusRamp().appliesTo(bare("x", family))).isEqualTo(family != Family.SHEET_FIBRE);
            assertThat(new SiteClimate().appliesTo(bare("x", family))).isTrue();
        }
    }

    @Test
    void whatCannotBeIsRefusedAtItsField() {
        assertThatThrownBy(() -> bare(" ", Family.GALVO_UV))
                .isInstanceOf(ReadingException.class)
                .hasMessage("name: must not be blank");
        assertThatThrownBy(() -> bare("w".repeat(61), Family.GALVO_UV)).hasMessageContaining("60 characters");
        assertThatThrownBy(() -> new Plate.Size(1150, 0, 980, OptionalDouble.empty()))
                .hasMessageContaining("depthMm");
        assertThatThrownBy(() -> new Plate.Source(
                        Optional.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        List.of(1064.0, 5.0),
                        OptionalDouble.empty()))
                .hasMessageContaining("wavelengthsNm[1]");
        assertThatThrownBy(() -> new Plate.Rhythm(
                        OptionalInt.empty(), OptionalInt.of(0), OptionalInt.empty(), OptionalInt.empty()))
                .hasMessageContaining("settingsDays");
        assertThatThrownBy(() -> new ClimateLimits(14, 29, OptionalDouble.of(70), 66))
                .hasMessageContaining("maxHumidityPct");
        assertThatThrownBy(() -> new ControllerNeed.Travel(700, -500, OptionalDouble.empty()))
                .hasMessageContaining("y: -500 must be above 0");
    }

    @Test
    void aHomeCornerIsSaidAsWhoStandsBeforeTheMachineSeesIt() {
        assertThat(ControllerNeed.HomeCorner.REAR_LEFT.words()).isEqualTo("rear left");
        assertThat(ControllerNeed.HomeCorner.FRONT_RIGHT).matches(corner -> corner.front() && !corner.left());
    }
}
