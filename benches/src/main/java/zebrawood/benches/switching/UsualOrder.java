package zebrawood.benches.switching;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import zebrawood.core.machine.Family;
import zebrawood.core.switching.OrderReadings;
import zebrawood.json.Binder;
import zebrawood.json.StrictJson;

/** The order that is usual for a family of machine, to begin one's own with. */
public final class UsualOrder {

    private static final String ORDERS = "orders.json";

    private UsualOrder() {}

    /** The usual order of a family. */
    public static OrderReadings of(Family family) {
        try (InputStream bytes = UsualOrder.class.getResourceAsStream(ORDERS)) {
            JsonNode all = StrictJson.read(new String(bytes.readAllBytes(), StandardCharsets.UTF_8))
                    .root();
            return Binder.bind(all.get(family.name().toLowerCase(Locale.ROOT).replace('_', '-')), OrderReadings.class);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}
