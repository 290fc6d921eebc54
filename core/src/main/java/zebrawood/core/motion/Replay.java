package zebrawood.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Motion text run line by line without a machine: where the head goes, when the laser is on, and what would go wrong. A
 * line that is not understood is told and left out; the run goes on.
 *
 * @param burned how far the head moved with the laser on, mm
 * @param travelled how far it moved with the laser off, mm
 * @param moves each straight move, in their order
 * @param faults in the order of the lines
 */
public record Replay(double burned, double travelled, List<Move> moves, List<Fault> faults) {

    /** rounding of what stands in the text may reach that far beyond a bed, mm */
    private static final double SLACK_MM = 1e-6;

    /** A straight move, mm; the power that is on is 0 where the laser is off. */
    public record Move(int line, double fromX, double fromY, double toX, double toY, double powerS) {}

    /** What would go wrong, and in which line from 1. */
    public record Fault(int line, Kind kind) {}

    /** What can go wrong. */
    public enum Kind {
        /** nothing that this program knows: it is left out */
        NOT_UNDERSTOOD("this line is not understood"),
        OUTSIDE("the head would leave the bed"),
        ON_WHILE_TRAVELLING("the laser is on while the head travels"),
        ON_AT_A_STOP("the laser is on while the machine waits"),
        ON_AT_THE_END("the laser is on at the end"),
        TOO_STRONG("more than full power, or less than none"),
        NO_SPEED("a burning move without a speed");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public Replay {
        moves = List.copyOf(moves);
        faults = List.copyOf(faults);
    }

    /**
     * Runs a text.
     *
     * @param bedXMm how far the head reaches from 0
     * @param bedYMm likewise
     * @param fullPowerS the S value of full power
     */
    public static Replay of(String text, double bedXMm, double bedYMm, double fullPowerS) {
        Run run = new Run(bedXMm, bedYMm, fullPowerS);
        int number = 0;
        for (String line : text.split("\n", -1)) {
            run.line(++number, line);
        }
        run.end(number);
        return new Replay(run.burned, run.travelled, run.moves, run.faults);
    }

    /** The state of a machine while it reads. */
    private static final class Run {
        private static final int DWELL = 4;

        private final double bedX;
        private final double bedY;
        private final double full;
        private final List<Move> moves = new ArrayList<>();
        private final List<Fault> faults = new ArrayList<>();
        private double x;
        private double y;
        private double power;
        private double speed;
        private double unit = 1;
        private boolean absolute = true;
        private boolean on;
        private boolean burning;
        private double burned;
        private double travelled;

        Run(double bedX, double bedY, double full) {
            this.bedX = bedX;
            this.bedY = bedY;
            this.full = full;
        }

        /** A letter with its number. */
        private record Word(char letter, double number) {}

        void line(int number, String line) {
            Optional<List<Word>> words = words(line);
            if (words.isEmpty()) {
                faults.add(new Fault(number, Kind.NOT_UNDERSTOOD));
                return;
            }
            double toX = Double.NaN;
            double toY = Double.NaN;
            boolean waits = false;
            for (Word word : words.get()) {
                switch (word.letter()) {
                    case 'X' -> toX = word.number() * unit;
                    case 'Y' -> toY = word.number() * unit;
                    case 'F' -> speed = word.number() * unit;
                    case 'S' -> power(number, word.number());
                    case 'G' -> waits |= mode(number, word.number());
                    case 'M' -> waits |= command(number, word.number());
                    case 'P' -> {
                        // how long it waits
                    }
                    default -> faults.add(new Fault(number, Kind.NOT_UNDERSTOOD));
                }
            }
            if (!Double.isNaN(toX) || !Double.isNaN(toY)) {
                move(number, toX, toY);
            }
            if (waits && isLit()) {
                faults.add(new Fault(number, Kind.ON_AT_A_STOP));
            }
        }

        /** Words of a line without its remarks; empty where something else stands in it. */
        private static Optional<List<Word>> words(String line) {
            StringBuilder plain = new StringBuilder();
            int depth = 0;
            for (char c : line.toCharArray()) {
                if (c == ';' && depth == 0) {
                    break;
                }
                depth += c == '(' ? 1 : 0;
                if (depth == 0 && !Character.isWhitespace(c)) {
                    plain.append(Character.toUpperCase(c));
                }
                depth -= c == ')' && depth > 0 ? 1 : 0;
            }
            List<Word> words = new ArrayList<>();
            int at = 0;
            while (at < plain.length()) {
                char letter = plain.charAt(at);
                int end = at + 1;
                while (end < plain.length() && "+-.0123456789".indexOf(plain.charAt(end)) >= 0) {
                    end++;
                }
                Optional<Double> number = number(plain.substring(at + 1, end));
                if (letter < 'A' || letter > 'Z' || number.isEmpty()) {
                    return Optional.empty();
                }
                words.add(new Word(letter, number.get()));
                at = end;
            }
            return Optional.of(words);
        }

        private static Optional<Double> number(String digits) {
            try {
                return Optional.of(Double.parseDouble(digits)).filter(Double::isFinite);
            } catch (NumberFormatException notANumber) {
                return Optional.empty();
            }
        }

        private void power(int number, double s) {
            power = s;
            if (s > full || s < 0) {
                faults.add(new Fault(number, Kind.TOO_STRONG));
            }
        }

        /** Whether the machine waits for it. */
        private boolean mode(int number, double code) {
            if (code == DWELL) {
                return true;
            } else if (code == 0 || code == 1) {
                burning = code == 1;
            } else if (code == 20 || code == 21) {
                unit = code == 20 ? 25.4 : 1;
            } else if (code == 90 || code == 91) {
                absolute = code == 90;
            } else {
                faults.add(new Fault(number, Kind.NOT_UNDERSTOOD));
            }
            return false;
        }

        /** Whether the machine waits after it. */
        private boolean command(int number, double code) {
            if (code == 3 || code == 4 || code == 5) {
                on = code != 5;
                return false;
            } else if (code == 0 || code == 1 || code == 2 || code == 30) {
                return true;
            }
            faults.add(new Fault(number, Kind.NOT_UNDERSTOOD));
            return false;
        }

        private boolean isLit() {
            return on && power > 0;
        }

        private void move(int number, double wantedX, double wantedY) {
            double toX = Double.isNaN(wantedX) ? x : absolute ? wantedX : x + wantedX;
            double toY = Double.isNaN(wantedY) ? y : absolute ? wantedY : y + wantedY;
            double far = Math.hypot(toX - x, toY - y);
            if (toX < -SLACK_MM || toY < -SLACK_MM || toX > bedX + SLACK_MM || toY > bedY + SLACK_MM) {
                faults.add(new Fault(number, Kind.OUTSIDE));
            }
            if (isLit() && !burning) {
                faults.add(new Fault(number, Kind.ON_WHILE_TRAVELLING));
            } else if (isLit() && !(speed > 0)) {
                faults.add(new Fault(number, Kind.NO_SPEED));
            }
            burned += isLit() ? far : 0;
            travelled += isLit() ? 0 : far;
            moves.add(new Move(number, x, y, toX, toY, isLit() ? power : 0));
            x = toX;
            y = toY;
        }

        void end(int number) {
            if (isLit()) {
                faults.add(new Fault(number, Kind.ON_AT_THE_END));
            }
        }
    }
}
