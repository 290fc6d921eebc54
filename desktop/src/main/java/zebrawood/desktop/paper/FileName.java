package zebrawood.desktop.paper;

import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.Locale;
import java.util.UUID;

/** The name of a file that is about a machine. */
public final class FileName {

    private FileName() {}

    /**
     * What a file is called where nobody says: of two machines never the same, whatever signs stand in their names.
     *
     * @param kind what it is, such as {@code certificate}
     */
    public static String of(String kind, String machine) {
        String lower = machine.strip().toLowerCase(Locale.ROOT);
        String plain = Normalizer.normalize(lower, Normalizer.Form.NFKD).replaceAll("[^a-z0-9]+", "-");
        return kind + "-" + plain
                + (plain.equals(lower)
                        ? ""
                        : "-"
                                + UUID.nameUUIDFromBytes(lower.getBytes(StandardCharsets.UTF_8))
                                        .toString()
                                        .substring(0, 8))
                + ".pdf";
    }
}
