package org.yarbel.core.records;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * What was done as it stands in one cell: {@code 3x5}, {@code 3x5 100}, {@code 3x5@100kg}, {@code 100x5x3}, {@code 100x5}, {@code 5x100},
 * several with a semicolon, a plus or a line between, each with {@code @8} or {@code RPE 8} behind it.
 */
final class Work {
  private static final Pattern PARTS = Pattern.compile("\\s*[;\\n|+]\\s*|\\s*,\\s+");
  private static final Pattern RATED = Pattern.compile("(?i)\\s*(?:@|rpe)\\s*(10|[5-9](?:[.,][05])?)\\s*$");
  private static final Pattern RESERVE = Pattern.compile("(?i)\\s*(?:@?\\s*)(\\d)\\s*rir\\s*$");
  private static final String NUMBER = "(\\d{1,4}(?:[.,]\\d{1,3})?)\\s*(kgs?|lbs?)?";
  private static final Pattern THREE = Pattern.compile("(?i)" + NUMBER + "\\s*[x×*]\\s*" + NUMBER + "\\s*[x×*@/ ]\\s*" + NUMBER);
  private static final Pattern TWO = Pattern.compile("(?i)" + NUMBER + "\\s*[x×*@/]\\s*" + NUMBER);
  private static final Pattern ONE = Pattern.compile("(?i)" + NUMBER);
  /** Fewer than this is taken for reps or sets, more for a load; between them a cell that says no unit is asked about. */
  private static final BigDecimal LEAST_LOAD = new BigDecimal(25);
  private static final int MOST_PARTS = 40;
  private static final int MOST_REPS = 100;

  private Work() {}

  /**
   * A part of it.
   *
   * @param load null where the cell has none
   * @param rating null where none stands there
   */
  record Part(int sets, int reps, @Nullable Mass load, @Nullable BigDecimal rating) {}

  /** Reads a cell. */
  static List<Part> read(String cell, Layout layout) throws Unreadable {
    List<Part> parts = new ArrayList<>();
    for (String text : PARTS.split(cell.strip())) {
      if (!text.isBlank()) {
        if (parts.size() >= MOST_PARTS) {
          throw new Unreadable("More than " + MOST_PARTS + " sets stand in one cell.");
        }
        parts.add(part(text.strip(), layout));
      }
    }
    return parts;
  }

  private static Part part(String text, Layout layout) throws Unreadable {
    BigDecimal rating = null;
    String rest = text;
    Matcher reserve = RESERVE.matcher(rest);
    Matcher rated = RATED.matcher(rest);
    if (reserve.find()) {
      rating = BigDecimal.TEN.subtract(new BigDecimal(reserve.group(1)));
      rest = rest.substring(0, reserve.start());
    } else if (rated.find() && ratable(rest.substring(0, rated.start()).strip())) {
      rating = new BigDecimal(rated.group(1).replace(',', '.'));
      rest = rest.substring(0, rated.start());
    }
    Matcher found = THREE.matcher(rest.strip());
    if (found.matches()) {
      return three(found, layout, rating, text);
    }
    found = TWO.matcher(rest.strip());
    if (found.matches()) {
      return two(found, layout, rating, text);
    }
    found = ONE.matcher(rest.strip());
    if (found.matches() && found.group(2) == null) {
      return new Part(1, reps(found.group(1), text), null, rating);
    }
    throw new Unreadable("“" + cut(text) + "” is no sets and reps, such as 3x5 or 3x5 100.");
  }

  /** Whether what stands before a rating is work: 100@5 is a load with its reps, 5@8 reps with their rating. */
  private static boolean ratable(String before) {
    Matcher alone = ONE.matcher(before);
    return THREE.matcher(before).matches() || TWO.matcher(before).matches() || alone.matches() && !heavy(alone, 1);
  }

  /** Sets, reps and load, or the load first. */
  private static Part three(Matcher found, Layout layout, @Nullable BigDecimal rating, String text) throws Unreadable {
    if (heavy(found, 1)) {
      return new Part(sets(found.group(5), text), reps(found.group(3), text), mass(found, 1, layout), rating);
    }
    if (heavy(found, 5) || found.group(6) != null) {
      return new Part(sets(found.group(1), text), reps(found.group(3), text), mass(found, 5, layout), rating);
    }
    throw new Unreadable("In “" + cut(text) + "” it is not clear which number is the load: write its unit behind it.");
  }

  /** Sets and reps, or a load with reps on either side. */
  private static Part two(Matcher found, Layout layout, @Nullable BigDecimal rating, String text) throws Unreadable {
    boolean first = heavy(found, 1) || found.group(2) != null;
    boolean second = heavy(found, 3) || found.group(4) != null;
    if (first && second) {
      throw new Unreadable("In “" + cut(text) + "” it is not clear which number is the load.");
    }
    if (first) {
      return new Part(1, reps(found.group(3), text), mass(found, 1, layout), rating);
    }
    if (second) {
      return new Part(1, reps(found.group(1), text), mass(found, 3, layout), rating);
    }
    return new Part(sets(found.group(1), text), reps(found.group(3), text), null, rating);
  }

  private static boolean heavy(Matcher found, int group) {
    return found.group(group + 1) != null || new BigDecimal(found.group(group).replace(',', '.')).compareTo(LEAST_LOAD) >= 0
        || found.group(group).matches(".*[.,].*");
  }

  private static Mass mass(Matcher found, int group, Layout layout) throws Unreadable {
    String unit = found.group(group + 1);
    String text = found.group(group) + (unit == null ? "" : " " + unit);
    return Amount.load(text, layout).orElseThrow(() -> new Unreadable("“" + cut(text) + "” is no load."));
  }

  private static int reps(String number, String text) throws Unreadable {
    Optional<Integer> reps = Amount.whole(number, false);
    if (reps.isEmpty() || reps.get() > MOST_REPS) {
      throw new Unreadable("“" + cut(text) + "” has no number of reps from 0 to " + MOST_REPS + ".");
    }
    return reps.get();
  }

  private static int sets(String number, String text) throws Unreadable {
    Optional<Integer> sets = Amount.whole(number, false);
    if (sets.isEmpty() || sets.get() < 1 || sets.get() > RowReader.MOST_SETS) {
      throw new Unreadable("“" + cut(text) + "” has no number of sets from 1 to " + RowReader.MOST_SETS + ".");
    }
    return sets.get();
  }

  static String cut(String text) {
    return text.length() <= 40 ? text : text.substring(0, 40) + "…";
  }
}
