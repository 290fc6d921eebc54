package zebrawood.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.benches.Catalogue;
import zebrawood.core.procedure.Procedure;

/** The short form of {@code bench advice}: what every procedure says is done to the letter, and arrives. */
class AdviceTest {

    static Stream<String> procedures() {
        return Advice.all().stream().map(Advice.Tried::id);
    }

    private static Advice.Tried tried(String id) {
        return Advice.all().stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void whatIsSaidIsDoneToTheLetterAndArrives(String id) {
        assertThat(Advice.wrong(tried(id), 150)).isEmpty();
    }

    @Test
    void everyProcedureHasItsHands() {
        assertThat(procedures())
                .containsExactlyInAnyOrderElementsOf(Catalogue.procedures().stream()
                        .map((Procedure<?, ?> procedure) -> procedure.card().id())
                        .filter(id -> !Advice.ESTIMATES.contains(id))
                        .toList());
    }

    /** The check can fail: hands that do nothing never arrive, and a sentence that nobody knows is told. */
    @Test
    void handsThatDoNothingOrDoNotUnderstandAreFound() {
        Advice.Tried gas = tried("assist-gas");
        Advice.Tried idle = new Advice.Tried(gas.id(), gas.worksheet(), (sheet, step, random) -> Advice.Done.DID);
        Advice.Tried deaf = new Advice.Tried(gas.id(), gas.worksheet(), (sheet, step, random) -> Advice.Done.WHAT);
        assertThat(Advice.wrong(idle, 5)).hasSize(5).allMatch(told -> told.contains("IS NOT ENOUGH"));
        assertThat(Advice.wrong(deaf, 5)).hasSize(5).allMatch(told -> told.contains("NOBODY KNOWS"));
    }

    /** A figure rounded to the unsafe side is found: a regulator set a hundredth of a bar higher than was said. */
    @Test
    void aFigureOnTheUnsafeSideIsFound() {
        ObjectNode sheet = JsonNodeFactory.instance.objectNode();
        sheet.put("gas", "nitrogen")
                .put("nozzleMm", 1.6)
                .put("pressureBar", 14.44)
                .put("ratedBar", 14.4);
        Advice.Tried over = new Advice.Tried("assist-gas", random -> sheet.deepCopy(), (read, step, random) -> {
            read.put("pressureBar", step.letter(0) + 0.01);
            return Advice.Done.DID;
        });
        Advice.Tried said = new Advice.Tried(
                "assist-gas", random -> sheet.deepCopy(), tried("assist-gas").hands());
        assertThat(List.of(Advice.wrong(over, 1).size(), Advice.wrong(said, 1).size()))
                .containsExactly(1, 0);
    }
}
