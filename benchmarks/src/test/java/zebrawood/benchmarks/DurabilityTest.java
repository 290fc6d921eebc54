package zebrawood.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/**
 * The short form of {@code bench durability}: a few kills of {@code record}, cuts and failing writes, the same checks.
 */
class DurabilityTest {

    @Test
    void whatWasConfirmedIsThereAfterKillsPowerCutsAndFailingWrites() throws Exception {
        assertThat(Durability.watcher())
                .as("the test command installs a C compiler (cc); without it no power is cut and no write fails")
                .isPresent();
        assertThat(Durability.measure(new Durability.Size(6, 0, 12, 9), 2)).isEmpty();
    }
}
