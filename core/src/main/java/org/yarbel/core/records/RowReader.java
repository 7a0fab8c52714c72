package org.yarbel.core.records;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * Reads rows of old records one after the other: a day or a lift that is not written again is that of the row above, as tables of training
 * are kept. A row is read whole or not at all.
 */
public final class RowReader {
  /** No lift was ever heavier; common practice, no source: the heaviest partial strongman deadlifts are under 600 kg. */
  static final Mass MOST_LOAD = Mass.of("650", MassUnit.KG);
  static final int MOST_SETS = 50;

  private static final int MOST_REPS = 100;
  private static final int MOST_NOTE = 200;
  private static final int MOST_LIFT = 80;
  private static final int MOST_CELL = 500;
  private static final LocalDate FIRST = LocalDate.of(1950, 1, 1);
  private static final BigDecimal TEN = BigDecimal.TEN;
  private static final BigDecimal LEAST_RATING = new BigDecimal(6);
  private static final BigDecimal TWO = new BigDecimal(2);

  private final Layout layout;
  private final LocalDate today;
  private @Nullable LocalDate day;
  private String lift = "";

  public RowReader(Layout layout, LocalDate today) {
    this.layout = layout;
    this.today = today;
  }

  /**
   * The sets of a row; none for a row in which nothing stands.
   *
   * @throws Unreadable with the reason, for a row that cannot be read
   */
  public List<OldSet> read(List<String> row) throws Unreadable {
    if (row.stream().allMatch(String::isBlank)) {
      return List.of();
    }
    if (row.stream().anyMatch(cell -> cell.length() > MOST_CELL)) {
      throw new Unreadable("A cell has more than " + MOST_CELL + " characters.");
    }
    String written = cell(row, Meaning.DAY);
    if (!written.isEmpty()) {
      day = day(written);
    }
    if (day == null) {
      throw new Unreadable("No day stands in this row, nor above it.");
    }
    return layout.has(Meaning.OF_A_LIFT) ? wide(row, day) : narrow(row, day);
  }

  /** Whether a day and, where rows name one, a lift stand above the next row. */
  public boolean begun() {
    return day != null && (!lift.isEmpty() || !layout.has(Meaning.LIFT));
  }

  private LocalDate day(String written) throws Unreadable {
    LocalDate read = layout.order().read(written).orElse(null);
    // what follows belongs to no day until one can be read again
    day = null;
    if (read == null) {
      throw new Unreadable("“" + Work.cut(written) + "” is no day, such as " + layout.order().example() + ".");
    }
    if (read.isAfter(today)) {
      throw new Unreadable("The day " + read + " is still to come.");
    }
    if (read.isBefore(FIRST)) {
      throw new Unreadable("The day " + read + " is before " + FIRST.getYear() + ".");
    }
    return read;
  }

  private List<OldSet> wide(List<String> row, LocalDate on) throws Unreadable {
    List<OldSet> sets = new ArrayList<>();
    String note = cut(cell(row, Meaning.NOTE));
    for (int i = 0; i < row.size(); i++) {
      if (layout.column(i) == Meaning.OF_A_LIFT && !row.get(i).isBlank()) {
        for (Work.Part part : Work.read(row.get(i), layout)) {
          if (part.load() == null) {
            throw new Unreadable("“" + Work.cut(row.get(i)) + "” of " + layout.head(i) + " has no load, such as 3x5 100.");
          }
          sets.add(set(on, layout.head(i).strip(), part.load(), part, part.rating(), note));
        }
      }
    }
    return sets;
  }

  private List<OldSet> narrow(List<String> row, LocalDate on) throws Unreadable {
    String named = cell(row, Meaning.LIFT);
    if (!named.isEmpty()) {
      lift = named;
    }
    String load = cell(row, Meaning.LOAD);
    String reps = cell(row, Meaning.REPS);
    String work = cell(row, Meaning.WORK);
    if (load.isEmpty() && reps.isEmpty() && work.isEmpty()) {
      // a day or a lift alone heads the rows below it
      if (!written(row, Meaning.DAY) && !written(row, Meaning.LIFT)) {
        throw new Unreadable("Neither a load nor reps stand in this row.");
      }
      return List.of();
    }
    if (lift.isEmpty()) {
      throw new Unreadable("No lift stands in this row, nor above it.");
    }
    BigDecimal rating = rating(row);
    Mass mass = load.isEmpty() ? null : load(load, cell(row, Meaning.UNIT));
    List<Work.Part> parts = work.isEmpty() ? List.of(new Work.Part(sets(row), reps(reps), null, null)) : Work.read(work, layout);
    List<OldSet> sets = new ArrayList<>();
    for (Work.Part part : parts) {
      Mass own = part.load() == null ? mass : part.load();
      if (own == null) {
        throw new Unreadable("No load stands in this row.");
      }
      sets.add(set(on, lift, own, part, part.rating() == null ? rating : part.rating(), cut(cell(row, Meaning.NOTE))));
    }
    return sets;
  }

  private boolean written(List<String> row, Meaning meaning) {
    return !cell(row, meaning).isEmpty();
  }

  private Mass load(String text, String unit) throws Unreadable {
    Layout own = unit.isEmpty() ? layout : new Layout(layout.columns(), layout.heads(), layout.order(), layout.commas(), unit(unit));
    return Amount.load(text, own).orElseThrow(() -> new Unreadable("“" + Work.cut(text) + "” is no load, such as 102.5."));
  }

  private static MassUnit unit(String word) throws Unreadable {
    if (!Amount.saysUnit("1 " + word)) {
      throw new Unreadable("“" + Work.cut(word) + "” is no unit: write kg or lb.");
    }
    return Amount.unit(word);
  }

  private int reps(String text) throws Unreadable {
    if (text.isEmpty()) {
      throw new Unreadable("No reps stand in this row.");
    }
    Optional<Integer> reps = Amount.whole(text, layout.commas());
    if (reps.isEmpty() || reps.get() > MOST_REPS) {
      throw new Unreadable("“" + Work.cut(text) + "” is no number of reps from 0 to " + MOST_REPS + ".");
    }
    return reps.get();
  }

  private int sets(List<String> row) throws Unreadable {
    String text = cell(row, Meaning.SETS);
    Optional<Integer> sets = text.isEmpty() ? Optional.of(1) : Amount.whole(text, layout.commas());
    if (sets.isEmpty() || sets.get() < 1 || sets.get() > MOST_SETS) {
      throw new Unreadable("“" + Work.cut(text) + "” is no number of sets from 1 to " + MOST_SETS + ".");
    }
    return sets.get();
  }

  private @Nullable BigDecimal rating(List<String> row) throws Unreadable {
    String rpe = cell(row, Meaning.RPE).replaceFirst("^@\\s*", "").replaceFirst("(?i)^rpe\\s*", "");
    String rir = cell(row, Meaning.RIR);
    if (!rpe.isEmpty()) {
      return Amount.read(rpe, layout.commas()).filter(one -> one.compareTo(TEN) <= 0)
          .orElseThrow(() -> new Unreadable("“" + Work.cut(rpe) + "” is no RPE from 1 to 10."));
    }
    return rir.isEmpty() ? null : Amount.read(rir.replace("+", ""), layout.commas()).filter(one -> one.compareTo(TEN) <= 0)
        .map(TEN::subtract).orElseThrow(() -> new Unreadable("“" + Work.cut(rir) + "” is no number of reps in reserve."));
  }

  private OldSet set(LocalDate on, String called, Mass load, Work.Part part, @Nullable BigDecimal rating, String note) throws Unreadable {
    if (called.length() > MOST_LIFT) {
      throw new Unreadable("The lift has a name of more than " + MOST_LIFT + " characters.");
    }
    if (load.compareTo(MOST_LOAD) > 0) {
      throw new Unreadable(load.text() + " is more than anybody has lifted.");
    }
    boolean easier = rating != null && rating.compareTo(LEAST_RATING) < 0;
    // to the half that is nearest: some keep thirds
    Rpe rpe = rating == null || easier ? null : new Rpe(rating.multiply(TWO).setScale(0, java.math.RoundingMode.HALF_UP).intValueExact());
    return new OldSet(on, called, load, part.reps(), part.sets(), rpe, easier, note);
  }

  private String cell(List<String> row, Meaning meaning) {
    for (int i = 0; i < row.size(); i++) {
      if (layout.column(i) == meaning) {
        return row.get(i).strip();
      }
    }
    return "";
  }

  private static String cut(String note) {
    return note.length() <= MOST_NOTE ? note : note.substring(0, MOST_NOTE);
  }
}
