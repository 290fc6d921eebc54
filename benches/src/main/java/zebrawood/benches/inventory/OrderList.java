package zebrawood.benches.inventory;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import zebrawood.core.inventory.InventoryFinding;
import zebrawood.core.machine.Plate;
import zebrawood.json.table.CsvCell;

/** What is missing or damaged and can be bought, as CSV. */
final class OrderList {

    private OrderList() {}

    /** Whether there is anything to order. */
    static boolean isAny(InventoryFinding finding) {
        return finding.lacks().stream().anyMatch(InventoryFinding.Lack::isOrdered);
    }

    /** A head and a line for each part, as many as are ordered. */
    static String csv(Plate plate, InventoryFinding finding) {
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("machine", "number", "part", "state", "remark"));
        finding.lacks().stream()
                .filter(InventoryFinding.Lack::isOrdered)
                .forEach(lack -> rows.add(List.of(
                        plate.name(),
                        plate.number().orElse(""),
                        lack.name(),
                        lack.state().name().toLowerCase(Locale.ROOT),
                        lack.remark().orElse(""))));
        List<List<String>> cells = rows.stream()
                .map(row -> row.stream().map(CsvCell::harmless).toList())
                .toList();
        try {
            return new CsvMapper().writeValueAsString(cells);
        } catch (JsonProcessingException notText) {
            throw new IllegalStateException(notText);
        }
    }
}
