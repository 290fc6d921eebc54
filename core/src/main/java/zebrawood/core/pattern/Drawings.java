package zebrawood.core.pattern;

import java.math.BigDecimal;
import java.math.RoundingMode;
import zebrawood.core.pattern.Pattern.Line;
import zebrawood.core.pattern.Pattern.Part;

/** A pattern as a drawing at true size, for job software that opens SVG or DXF. */
public final class Drawings {

    /** digits after the point of a millimetre: a nanometre */
    private static final int DECIMALS = 6;
    /** how tall a capital letter is, as a share of the size of its font */
    private static final double CAPITAL = 0.7;

    private Drawings() {}

    /** A number as every program reads it: a point, no exponent, no zeros that say nothing. */
    static String number(double mm) {
        BigDecimal rounded = BigDecimal.valueOf(mm).setScale(DECIMALS, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? BigDecimal.ZERO : rounded.stripTrailingZeros()).toPlainString();
    }

    /** SVG 1.1: one user unit is one millimetre, y downwards, a group a part. */
    public static String svg(Pattern pattern) {
        StringBuilder svg = new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\" version=\"1.1\" width=\"")
                .append(number(pattern.widthMm()))
                .append("mm\" height=\"")
                .append(number(pattern.heightMm()))
                .append("mm\" viewBox=\"0 0 ")
                .append(number(pattern.widthMm()))
                .append(' ')
                .append(number(pattern.heightMm()))
                .append("\">\n<title>")
                .append(escaped(pattern.name()))
                .append("</title>\n");
        for (Part part : pattern.parts()) {
            svg.append("<g fill=\"none\" stroke=\"black\" stroke-width=\"0.1\">\n<title>")
                    .append(escaped(part.name()))
                    .append("</title>\n");
            for (Line line : part.lines()) {
                svg.append("<line x1=\"")
                        .append(number(line.fromXMm()))
                        .append("\" y1=\"")
                        .append(number(pattern.heightMm() - line.fromYMm()))
                        .append("\" x2=\"")
                        .append(number(line.toXMm()))
                        .append("\" y2=\"")
                        .append(number(pattern.heightMm() - line.toYMm()))
                        .append("\"/>\n");
            }
            svg.append("</g>\n");
        }
        for (Pattern.Label label : pattern.labels()) {
            svg.append("<text text-anchor=\"middle\" font-family=\"sans-serif\" font-size=\"")
                    .append(number(label.tallMm() / CAPITAL))
                    .append("\" x=\"")
                    .append(number(label.middleMm()))
                    .append("\" y=\"")
                    .append(number(pattern.heightMm() - label.footMm()))
                    .append("\">")
                    .append(escaped(label.words()))
                    .append("</text>\n");
        }
        return svg.append("</svg>\n").toString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    /** DXF of release 12, in millimetres, y upwards, a layer a part. */
    public static String dxf(Pattern pattern) {
        StringBuilder dxf = new StringBuilder();
        pair(dxf, 0, "SECTION");
        pair(dxf, 2, "HEADER");
        pair(dxf, 9, "$ACADVER");
        pair(dxf, 1, "AC1009");
        pair(dxf, 9, "$INSUNITS");
        pair(dxf, 70, "4");
        pair(dxf, 0, "ENDSEC");
        pair(dxf, 0, "SECTION");
        pair(dxf, 2, "ENTITIES");
        int part = 0;
        for (Part each : pattern.parts()) {
            part++;
            for (Line line : each.lines()) {
                pair(dxf, 0, "LINE");
                pair(dxf, 8, "PART_" + part);
                pair(dxf, 10, number(line.fromXMm()));
                pair(dxf, 20, number(line.fromYMm()));
                pair(dxf, 30, "0");
                pair(dxf, 11, number(line.toXMm()));
                pair(dxf, 21, number(line.toYMm()));
                pair(dxf, 31, "0");
            }
        }
        for (Pattern.Label label : pattern.labels()) {
            pair(dxf, 0, "TEXT");
            pair(dxf, 8, "WORDS");
            pair(dxf, 10, number(label.middleMm()));
            pair(dxf, 20, number(label.footMm()));
            pair(dxf, 30, "0");
            pair(dxf, 40, number(label.tallMm()));
            pair(dxf, 1, oneLine(label.words()));
            pair(dxf, 72, "1");
            pair(dxf, 11, number(label.middleMm()));
            pair(dxf, 21, number(label.footMm()));
            pair(dxf, 31, "0");
        }
        pair(dxf, 0, "ENDSEC");
        pair(dxf, 0, "EOF");
        return dxf.toString();
    }

    /** As a line of the file: release 12 has no letters but those of ASCII. */
    private static String oneLine(String words) {
        return words.replaceAll("[^\\x20-\\x7E]", "?");
    }

    private static void pair(StringBuilder dxf, int code, String value) {
        dxf.append(code).append("\r\n").append(value).append("\r\n");
    }
}
