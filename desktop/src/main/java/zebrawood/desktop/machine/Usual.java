package zebrawood.desktop.machine;

import java.util.Map;
import java.util.Optional;
import zebrawood.core.machine.Family;

/**
 * What is usual for a family: shown pale and named so, until somebody types the machine's own figure or takes this one
 * over. Nothing is judged by it before.
 */
final class Usual {

    private static final Map<String, String> GANTRY_CO2 = Map.of(
            "source.wavelengthsNm[0]", "10600",
            "climate.minTemperatureC", "15",
            "climate.maxTemperatureC", "28",
            "climate.minHumidityPct", "20",
            "climate.maxHumidityPct", "65");
    private static final Map<String, String> GANTRY_DIODE = Map.of(
            "source.wavelengthsNm[0]", "450",
            "climate.minTemperatureC", "10",
            "climate.maxTemperatureC", "32",
            "climate.minHumidityPct", "10",
            "climate.maxHumidityPct", "75");
    private static final Map<String, String> GALVO_FIBRE = Map.of(
            "source.wavelengthsNm[0]", "1064",
            "climate.minTemperatureC", "12",
            "climate.maxTemperatureC", "32",
            "climate.minHumidityPct", "10",
            "climate.maxHumidityPct", "75");
    private static final Map<String, String> GALVO_UV = Map.of(
            "source.wavelengthsNm[0]", "355",
            "climate.minTemperatureC", "18",
            "climate.maxTemperatureC", "26",
            "climate.minHumidityPct", "20",
            "climate.maxHumidityPct", "60");
    private static final Map<String, String> SHEET_FIBRE = Map.of(
            "source.wavelengthsNm[0]", "1070",
            "climate.minTemperatureC", "10",
            "climate.maxTemperatureC", "34",
            "climate.minHumidityPct", "10",
            "climate.maxHumidityPct", "75");

    private Usual() {}

    /** The usual figure of a field, in its base unit; empty where none is. */
    static Optional<String> of(Family family, String path) {
        Map<String, String> usual = switch (family) {
            case GANTRY_CO2 -> GANTRY_CO2;
            case GANTRY_DIODE -> GANTRY_DIODE;
            case GALVO_FIBRE -> GALVO_FIBRE;
            case GALVO_UV -> GALVO_UV;
            case SHEET_FIBRE -> SHEET_FIBRE;
        };
        return Optional.ofNullable(usual.get(path));
    }
}
