package zebrawood.benches.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.site.ClimateLog;
import zebrawood.core.site.ClimateYear;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class YearFigureTest {

    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);
    private static final LocalDateTime BEGAN = LocalDateTime.of(2030, 11, 20, 0, 0);

    /** So many days, a reading an hour: damp at noon of every tenth day, hot in the evening before. */
    private static ClimateYear year(int days, OptionalDouble waterC) {
        ClimateLog log = new ClimateLog(LIMITS, waterC, OptionalDouble.empty());
        for (int hour = 0; hour < 24 * days; hour++) {
            boolean tenth = hour / 24 % 10 == 0;
            log.add(
                    BEGAN.plusHours(hour).toEpochSecond(ZoneOffset.UTC),
                    tenth && hour % 24 == 20 ? 32 : 22,
                    tenth && hour % 24 == 12 ? 95 : 45);
        }
        return log.summary().orElseThrow();
    }

    private static List<Drawn.Area> filled(Drawn drawn, Tone tone) {
        return drawn.areas().stream()
                .filter(area -> area.filled() && area.tone() == tone && area.top() > 20)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 9, 30, 45, 46, 120, 365, 800, 3000})
    void everyHourStandsAtItsDayAndHourAndNoWordOnAnother(int days) {
        Drawn drawn = Drawn.of(YearFigure.of(year(days, OptionalDouble.of(20))), 688, 320);
        assertThat(drawn.crowded(688, 320)).isEmpty();
        double middle = (drawn.areas().stream()
                                .filter(area -> !area.filled() && area.tone() == Tone.INK)
                                .mapToDouble(Drawn.Area::top)
                                .filter(top -> top > 20)
                                .min()
                                .orElseThrow()
                        + drawn.areas().stream()
                                .filter(area -> !area.filled() && area.tone() == Tone.INK)
                                .mapToDouble(Drawn.Area::bottom)
                                .max()
                                .orElseThrow())
                / 2;
        List<Drawn.Area> condensing = filled(drawn, Tone.FAIL);
        assertThat(condensing)
                .as("water would have condensed at noon of each tenth day")
                .isNotEmpty();
        assertThat(condensing)
                .allSatisfy(hour -> assertThat((hour.top() + hour.bottom()) / 2).isBetween(middle - 12, middle + 16));
        assertThat(filled(drawn, Tone.ADJUST))
                .as("the hot evenings")
                .isNotEmpty()
                .allSatisfy(hour -> assertThat(hour.bottom()).isGreaterThan(middle + 20));
        assertThat(drawn.areas()).allSatisfy(area -> assertThat(area.right()).isLessThanOrEqualTo(688 + 1e-6));
    }

    @ParameterizedTest
    @ValueSource(ints = {60, 400})
    void longTimesAreMarkedByMonthsAndTheYearWhereItBegins(int days) {
        String words = Drawn.of(YearFigure.of(year(days, OptionalDouble.empty())), 688, 320)
                .words();
        assertThat(words).contains("Dec", "2031").doesNotContain("20 Nov", "water below the dew point");
        assertThat(Drawn.of(YearFigure.of(year(20, OptionalDouble.empty())), 688, 320)
                        .words())
                .contains("20 Nov")
                .doesNotContain(" | Dec");
    }
}
