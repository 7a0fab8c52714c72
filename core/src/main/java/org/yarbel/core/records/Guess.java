package org.yarbel.core.records;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.yarbel.core.mass.MassUnit;

/**
 * What a table of old records seems to be, by its head and first rows.
 *
 * @param layout to begin with
 * @param unclear what has to be asked, since the table does not say it
 */
public record Guess(Layout layout, Set<Question> unclear) {
  /** Columns beyond this are nobody's table of training. */
  public static final int MOST_COLUMNS = 200;

  private static final Pattern SCHEME = Pattern.compile("(?i)\\s*\\d{1,4}([.,]\\d+)?\\s*(kgs?|lbs?)?\\s*[x×*@]\\s*\\d.*");
  private static final Pattern NUMBERS = Pattern.compile("(\\d{1,2})[-./ ](\\d{1,2})[-./ ](\\d{2,4})\\D*");
  private static final Pattern COMMA = Pattern.compile("\\d+,\\d{1,2}(?!\\d).*|\\d{1,3}(\\.\\d{3})+,\\d+.*");
  private static final Pattern POINT = Pattern.compile("\\d+\\.\\d{1,2}(?!\\d).*|\\d{1,3}(,\\d{3})+\\.\\d+.*");
  private static final Pattern THOUSAND = Pattern.compile("\\d{1,3}[.,]\\d{3}");
  private static final int TWELVE = 12;

  public Guess {
    unclear = unclear.isEmpty() ? Set.of() : Set.copyOf(unclear);
  }

  /** What a table may leave open. */
  public enum Question {
    /** 5/3/2024 may be March or May. */
    DAY_ORDER,
    /** No load says its unit. */
    UNIT,
    /** 1,250 may be a thousand and more, or one and a quarter. */
    COMMAS
  }

  /** Looks at a table. */
  public static Guess of(List<String> heads, List<List<String>> rows, MassUnit usual) {
    List<Meaning> columns = columns(heads, rows);
    Set<Question> unclear = EnumSet.noneOf(Question.class);
    List<String> days = cells(columns, rows, Meaning.DAY);
    boolean commas = commas(columns, rows, unclear);
    DayOrder order = order(days, unclear);
    MassUnit unit = unit(columns, heads, rows, usual, unclear);
    return new Guess(new Layout(columns, heads, order, commas, unit), unclear);
  }

  private static List<Meaning> columns(List<String> heads, List<List<String>> rows) {
    List<Meaning> columns = new ArrayList<>();
    Set<Meaning> taken = EnumSet.noneOf(Meaning.class);
    for (int i = 0; i < Math.min(heads.size(), MOST_COLUMNS); i++) {
      Meaning meaning = Meaning.of(heads.get(i)).filter(one -> !taken.contains(one)).orElse(Meaning.NOTHING);
      if (meaning == Meaning.REPS && mostly(rows, i, SCHEME) || meaning == Meaning.SETS && mostly(rows, i, SCHEME)) {
        meaning = Meaning.WORK;
      }
      columns.add(meaning);
      taken.add(meaning);
    }
    if (!taken.contains(Meaning.DAY)) {
      first(columns, rows, cell -> DayOrder.DAY_FIRST.read(cell).or(() -> DayOrder.MONTH_FIRST.read(cell)).isPresent())
          .ifPresent(at -> columns.set(at, Meaning.DAY));
    }
    if (!taken.contains(Meaning.LIFT) && !taken.contains(Meaning.LOAD)) {
      // a row a day: whatever holds sets and reps with a load is a lift
      for (int i = 0; i < columns.size(); i++) {
        if ((columns.get(i) == Meaning.NOTHING || columns.get(i) == Meaning.WORK) && !heads.get(i).isBlank() && mostly(rows, i, SCHEME)) {
          columns.set(i, Meaning.OF_A_LIFT);
        }
      }
    }
    return columns;
  }

  private static java.util.Optional<Integer> first(List<Meaning> columns, List<List<String>> rows, Predicate<String> is) {
    for (int i = 0; i < columns.size(); i++) {
      int at = i;
      long there = rows.stream().filter(row -> at < row.size() && !row.get(at).isBlank()).count();
      if (columns.get(i) == Meaning.NOTHING && there > 0 && rows.stream().filter(row -> at < row.size() && !row.get(at).isBlank())
          .allMatch(row -> is.test(row.get(at)))) {
        return java.util.Optional.of(i);
      }
    }
    return java.util.Optional.empty();
  }

  private static boolean mostly(List<List<String>> rows, int at, Pattern pattern) {
    List<String> cells = rows.stream().filter(row -> at < row.size() && !row.get(at).isBlank()).map(row -> row.get(at)).toList();
    return !cells.isEmpty() && 2 * cells.stream().filter(cell -> pattern.matcher(cell).matches()).count() >= cells.size();
  }

  private static List<String> cells(List<Meaning> columns, List<List<String>> rows, Meaning meaning) {
    List<String> cells = new ArrayList<>();
    for (List<String> row : rows) {
      for (int i = 0; i < Math.min(columns.size(), row.size()); i++) {
        if (columns.get(i) == meaning && !row.get(i).isBlank()) {
          cells.add(row.get(i).strip());
        }
      }
    }
    return cells;
  }

  private static DayOrder order(List<String> days, Set<Question> unclear) {
    boolean dayFirst = true;
    boolean monthFirst = true;
    boolean numbers = false;
    for (String day : days) {
      java.util.regex.Matcher found = NUMBERS.matcher(day);
      if (found.matches()) {
        numbers = true;
        dayFirst &= Integer.parseInt(found.group(2)) <= TWELVE;
        monthFirst &= Integer.parseInt(found.group(1)) <= TWELVE;
      }
    }
    if (!numbers) {
      return DayOrder.YEAR_FIRST;
    }
    if (dayFirst && monthFirst) {
      unclear.add(Question.DAY_ORDER);
    }
    return dayFirst ? DayOrder.DAY_FIRST : DayOrder.MONTH_FIRST;
  }

  private static boolean commas(List<Meaning> columns, List<List<String>> rows, Set<Question> unclear) {
    List<String> numbers = new ArrayList<>(cells(columns, rows, Meaning.LOAD));
    numbers.addAll(cells(columns, rows, Meaning.RPE));
    boolean comma = numbers.stream().anyMatch(cell -> COMMA.matcher(cell).matches());
    boolean point = numbers.stream().anyMatch(cell -> POINT.matcher(cell).matches());
    if (comma && point || !comma && !point && numbers.stream().anyMatch(cell -> THOUSAND.matcher(cell).matches())) {
      unclear.add(Question.COMMAS);
    }
    return comma;
  }

  private static MassUnit unit(List<Meaning> columns, List<String> heads, List<List<String>> rows, MassUnit usual, Set<Question> unclear) {
    for (int i = 0; i < columns.size(); i++) {
      String head = heads.get(i).toLowerCase(Locale.ROOT);
      if (columns.get(i) == Meaning.LOAD && Pattern.compile("\\b(kgs?|lbs?|pounds?|kilos?)\\b").matcher(head).find()) {
        return head.contains("kg") || head.contains("kilo") ? MassUnit.KG : MassUnit.LB;
      }
    }
    List<String> loads = cells(columns, rows, Meaning.LOAD);
    if (columns.contains(Meaning.UNIT) || !loads.isEmpty() && loads.stream().allMatch(Amount::saysUnit)) {
      return usual;
    }
    unclear.add(Question.UNIT);
    return usual;
  }
}
