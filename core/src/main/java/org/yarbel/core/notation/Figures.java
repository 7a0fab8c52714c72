package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/** Reads the numbers of the notation: counts, masses, percentages, times, RPEs, tempos, each within its limits. */
final class Figures {
  private static final int MOST_DIGITS = 12;
  private static final BigDecimal MAX_PERCENT = BigDecimal.valueOf(150);
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private static final BigDecimal MAX_DISTANCE = BigDecimal.valueOf(1000);
  private static final Mass MAX_MASS = Mass.of("1000", MassUnit.KG);

  private final Cursor in;

  Figures(Cursor in) {
    this.in = in;
  }

  int whole(String what, int most) {
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "A number of " + what + " is missing here.");
    }
    BigDecimal number = decimal();
    if (number.scale() > 0) {
      throw new Stop(in.from(from), "The " + what + " must be a whole number but were " + plain(number) + ".");
    }
    if (number.signum() <= 0 || number.compareTo(BigDecimal.valueOf(most)) > 0) {
      throw new Stop(in.from(from), "The " + what + " must be from 1 to " + most + " but were " + plain(number) + ".");
    }
    return number.intValueExact();
  }

  BigDecimal decimal() {
    int from = in.at();
    String text = in.numberText();
    int point = text.indexOf('.');
    if (point == text.length() - 1) {
      throw new Stop(in.from(from), "A number cannot end with its point.");
    }
    if (point >= 0 && text.length() - point > 3) {
      throw new Stop(in.from(from), "A number has at most two decimals.");
    }
    if (text.length() > MOST_DIGITS) {
      throw new Stop(in.from(from), "A number has at most " + MOST_DIGITS + " digits.");
    }
    BigDecimal number = new BigDecimal(text);
    return number.stripTrailingZeros().scale() <= 0 ? number.setScale(0) : number.stripTrailingZeros();
  }

  /** Whether the {@code -} at the cursor begins a drop: its number is followed by %, kg or lb. */
  boolean dropFollows() {
    int back = in.at();
    in.match('-');
    in.blanks();
    boolean drop = Cursor.digit(in.peek());
    if (drop) {
      in.numberText();
      in.blanks();
      drop = in.peek() == '%' || Cursor.letter(in.peek()) && unitOf(in.word()).isPresent();
    }
    in.backTo(back);
    return drop;
  }

  /** Whether a {@code -} at the cursor begins a range. */
  boolean rangeFollows() {
    return in.peek() == '-' && !dropFollows();
  }

  BigDecimal percent(int from, BigDecimal number) {
    if (number.signum() <= 0 || number.compareTo(MAX_PERCENT) > 0) {
      throw new Stop(in.from(from), "A percentage must be over 0 and at most 150 but was " + plain(number) + ".");
    }
    return number;
  }

  BigDecimal dropPercent(int from, BigDecimal number) {
    if (number.signum() <= 0 || number.compareTo(HUNDRED) >= 0) {
      throw new Stop(in.from(from), "A drop must be over 0 % and under 100 % but was " + number.toPlainString() + " %.");
    }
    return number;
  }

  /** The unit behind a number, and the mass of both. */
  Mass mass(int from, BigDecimal number, String right) {
    MassUnit unit = unit(from, right);
    return mass(in.from(from), number, unit);
  }

  MassUnit unit(int from, String right) {
    int behind = in.at();
    in.blanks();
    Optional<MassUnit> unit = Cursor.letter(in.peek()) ? unitOf(in.word()) : Optional.empty();
    if (unit.isEmpty()) {
      in.backTo(behind);
      throw new Stop(in.from(from), "The unit is missing: " + right + ".");
    }
    return unit.get();
  }

  // the size is looked at before a mass is made of it: a typed number may have five hundred digits
  static Mass mass(Span place, BigDecimal number, MassUnit unit) {
    if (number.signum() <= 0 || number.compareTo(BigDecimal.valueOf(10_000)) > 0
        || Mass.of(number, unit).compareTo(MAX_MASS) > 0) {
      throw new Stop(place, "A load must be over 0 and at most 1000 kg but was " + plain(number) + " " + unit + ".");
    }
    return Mass.of(number, unit);
  }

  static Optional<MassUnit> unitOf(String word) {
    return switch (word) {
      case "kg" -> Optional.of(MassUnit.KG);
      case "lb" -> Optional.of(MassUnit.LB);
      default -> Optional.empty();
    };
  }

  BigDecimal distance() {
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The distance is missing: write carry 2x20m.");
    }
    BigDecimal number = decimal();
    if (number.signum() <= 0 || number.compareTo(MAX_DISTANCE) > 0) {
      throw new Stop(in.from(from), "A distance must be over 0 and at most 1000 but was " + plain(number) + ".");
    }
    return number;
  }

  RpeTarget rpeTarget() {
    int from = in.at();
    Rpe low = rpe(from);
    int behind = in.at();
    in.blanks();
    if (!rangeFollows()) {
      in.backTo(behind);
      return new RpeTarget(low, null);
    }
    in.match('-');
    in.blanks();
    Rpe high = half(from);
    if (high.compareTo(low) <= 0) {
      throw new Stop(in.from(from), "A range goes from the lower to the higher: write @"
          + (high.equals(low) ? low.toString() : high + "-" + low) + ".");
    }
    return new RpeTarget(low, high);
  }

  Rpe rpe(int from) {
    if (!in.match('@')) {
      throw new Stop(in.here(), "An RPE is missing: write it with its @, such as cap @9.");
    }
    in.blanks();
    return half(from);
  }

  private Rpe half(int from) {
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.from(from), "The RPE is missing: write a number from 6 to 10, such as @8.");
    }
    BigDecimal number = decimal();
    if (number.compareTo(BigDecimal.valueOf(6)) < 0) {
      throw new Stop(in.from(from), "Below RPE 6, write a percentage.");
    }
    if (number.compareTo(BigDecimal.TEN) > 0) {
      throw new Stop(in.from(from), "RPE must be from 6 to 10 inclusive but was " + plain(number) + ".");
    }
    try {
      return Rpe.of(number.doubleValue());
    } catch (Refused notHalf) {
      throw new Stop(in.from(from), "RPE is given in halves, such as @8 or @8.5, but was " + plain(number) + ".");
    }
  }

  /**
   * A time in seconds, written in seconds, in minutes, or in both with a colon.
   *
   * @param right how it would be right: {@code rest 90s or rest 2:00}
   */
  int time(String right) {
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The time is missing: write " + right + ".");
    }
    BigDecimal number = decimal();
    in.blanks();
    BigDecimal seconds;
    if (in.match(':')) {
      in.blanks();
      String rest = Cursor.digit(in.peek()) ? in.numberText() : "";
      if (rest.length() != 2 || rest.compareTo("59") > 0 || number.scale() > 0) {
        throw new Stop(in.from(from), "The seconds must be two digits from 00 to 59: write " + right + ".");
      }
      seconds = number.multiply(BigDecimal.valueOf(60)).add(new BigDecimal(rest));
    } else if (in.matchWord("s")) {
      seconds = number;
    } else if (in.matchWord("min")) {
      seconds = number.multiply(BigDecimal.valueOf(60));
    } else {
      throw new Stop(in.from(from), "The time needs its unit: write " + right + ".");
    }
    if (seconds.stripTrailingZeros().scale() > 0 || seconds.signum() <= 0
        || seconds.compareTo(BigDecimal.valueOf(3600)) > 0) {
      throw new Stop(in.from(from), "A time must be a whole number of seconds from 1s to 60:00.");
    }
    return seconds.intValueExact();
  }

  List<@Nullable Integer> tempo() {
    int from = in.at();
    List<@Nullable Integer> figures = new ArrayList<>();
    String run = in.tempoRun();
    if (run.length() >= 3) {
      for (char c : run.toCharArray()) {
        figures.add(c == 'x' ? null : Integer.valueOf(c - '0'));
      }
    } else {
      figures.add(figure(from, run));
      while (in.blanks() && in.peek() == '-' && figures.size() < 4 && !(figures.size() >= 3 && dropFollows())) {
        in.match('-');
        in.blanks();
        figures.add(figure(from, in.tempoRun()));
      }
    }
    if (figures.size() == 3) {
      figures.add(0);
    }
    if (figures.size() != 4) {
      throw new Stop(in.from(from), "A tempo has four figures: down, pause, up, pause, such as tempo 3-1-X-0.");
    }
    return figures;
  }

  private @Nullable Integer figure(int from, String run) {
    if (run.equals("x")) {
      return null;
    }
    if (run.isEmpty() || run.length() > 2 || run.contains("x") || Integer.parseInt(run) > 60) {
      throw new Stop(in.from(from), "Each figure of a tempo is 0 to 60 seconds or X, such as tempo 3-1-X-0.");
    }
    return Integer.valueOf(run);
  }

  static String plain(BigDecimal number) {
    String text = number.toPlainString();
    return text.length() <= 12 ? text : text.substring(0, 12) + "…";
  }
}
