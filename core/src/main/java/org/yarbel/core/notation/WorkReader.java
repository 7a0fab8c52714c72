package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Reads what is done: the first thing of a part. */
final class WorkReader {
  private static final int MOST_REPS = 100;
  private static final int MOST_MASSES = 50;

  private final Cursor in;
  private final Figures figures;

  WorkReader(Cursor in, Figures figures) {
    this.in = in;
    this.figures = figures;
  }

  Work read() {
    if (Cursor.digit(in.peek())) {
      int sets = sets("");
      return new Work.SetsOfReps(sets, reps());
    }
    if (!Cursor.letter(in.peek())) {
      throw new Stop(in.oneCharacter(), "A part begins with sets x reps, such as 5x5.");
    }
    int from = in.at();
    String word = in.word();
    Optional<WorkKind> kind = WorkKind.ofWord(word);
    if (kind.isPresent()) {
      in.blanks();
      return ofKind(kind.get());
    }
    if (word.startsWith("x")) {
      throw new Stop(new Span(from, from + 1), "The number of sets is missing: write it before the x, such as 5x5.");
    }
    if (Words.standsAfterWork(word)) {
      throw new Stop(in.from(from), "A part begins with its work, such as 5x5; '" + word + "' comes after it.");
    }
    throw Words.unknown(in.from(from), word);
  }

  private Work ofKind(WorkKind kind) {
    return switch (kind) {
      case SETS -> throw new IllegalStateException("Plain sets have no word");
      case BUILD -> new Work.Build(single(figures.whole("reps", MOST_REPS)));
      case MAX -> new Work.Max(single(figures.whole("reps", MOST_REPS)));
      case DENSITY -> new Work.Density(single(figures.whole("singles", MOST_REPS)));
      case CLUSTER -> new Work.Cluster(sets("cluster "), singles());
      case EMOM -> new Work.Emom(sets("emom "), single(figures.whole("reps", MOST_REPS)));
      case NEGATIVE -> new Work.Negative(sets("negative "), single(figures.whole("reps", MOST_REPS)));
      case WARM -> new Work.Warm(sets("warm "), single(figures.whole("reps", MOST_REPS)));
      case HOLD -> new Work.Hold(sets("hold "), figures.time("hold 3x30s or hold 3x2:00"));
      case TIMED -> new Work.Timed(sets("timed "), figures.time("timed 2x60s or timed 2x2:00"));
      case CARRY -> carry();
      case SERIES -> series();
    };
  }

  /** The sets and the times sign, and on to what follows. */
  private int sets(String before) {
    int sets = figures.whole("sets", WorkLine.MAX_SETS);
    in.blanks();
    if (!in.matchTimes()) {
      throw new Stop(in.here(), "The times sign is missing: write " + before + sets + "x5 for " + sets + " sets of 5.");
    }
    in.blanks();
    return sets;
  }

  /** Singles of a round; {@code 4-6} asks for the six, since a round of at least four is one that counts. */
  private int singles() {
    int from = in.at();
    int least = figures.whole("singles", MOST_REPS);
    int behind = in.at();
    in.blanks();
    if (!figures.rangeFollows()) {
      in.backTo(behind);
      return single(least);
    }
    return upper(from, least);
  }

  /** The upper end of a range whose lower has been read. */
  private int upper(int from, int least) {
    in.match('-');
    in.blanks();
    int most = figures.whole("reps", MOST_REPS);
    if (most <= least) {
      throw new Stop(in.from(from), "A range goes from the lower to the higher: write "
          + (most == least ? Integer.toString(least) : most + "-" + least) + ".");
    }
    return most;
  }

  /** These kinds take one number and no range. */
  private int single(int number) {
    int behind = in.at();
    in.blanks();
    if (figures.rangeFollows() || in.peek() == '+') {
      throw new Stop(in.oneCharacter(), "Here stands one number: only plain sets such as 3x8-10 or 3x5+ have a range or an open end.");
    }
    in.backTo(behind);
    return number;
  }

  private Reps reps() {
    if (in.atEnd() || in.peek() == ';') {
      throw new Stop(in.here(), "The reps are missing: write them after the x, such as 5x5, 3x5+ or 2xAMRAP.");
    }
    int from = in.at();
    if (Cursor.letter(in.peek())) {
      String word = in.word();
      if (!word.equals("amrap")) {
        throw new Stop(in.from(from), "The reps must be a number or AMRAP but were '" + word + "'.");
      }
      return new Reps.Open();
    }
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.oneCharacter(), "The reps must be a number or AMRAP, such as 5x5 or 2xAMRAP.");
    }
    int least = figures.whole("reps", MOST_REPS);
    int behind = in.at();
    in.blanks();
    if (in.match('+')) {
      return new Reps.AtLeast(least);
    }
    if (figures.rangeFollows()) {
      return new Reps.Between(least, upper(from, least));
    }
    in.backTo(behind);
    return new Reps.Exactly(least);
  }

  private Work carry() {
    int sets = sets("carry ");
    int from = in.at();
    BigDecimal distance = figures.distance();
    int behind = in.at();
    in.blanks();
    String unit = in.word();
    for (Work.DistanceUnit known : Work.DistanceUnit.values()) {
      if (known.symbol().equals(unit)) {
        return new Work.Carry(sets, distance, known);
      }
    }
    in.backTo(behind);
    throw new Stop(in.from(from), "The distance needs its unit: write carry " + sets + "x" + Figures.plain(distance) + "m or "
        + Figures.plain(distance) + "ft.");
  }

  private Work series() {
    int from = in.at();
    List<BigDecimal> numbers = new ArrayList<>();
    List<Span> places = new ArrayList<>();
    do {
      in.blanks();
      int at = in.at();
      if (!Cursor.digit(in.peek())) {
        throw new Stop(in.here(), "A mass is missing: write them with / between, such as series 100/120/140kg.");
      }
      numbers.add(figures.decimal());
      places.add(in.from(at));
      in.blanks();
    } while (in.match('/'));
    MassUnit unit = figures.unit(from, "write it once, behind the last mass, such as series 100/120/140kg");
    if (in.blanks() && in.peek() == '/') {
      throw new Stop(in.oneCharacter(), "The unit is written once, behind the last mass, such as series 100/120/140kg.");
    }
    if (numbers.size() > MOST_MASSES) {
      throw new Stop(in.from(from), "A series has at most 50 masses; this one has " + numbers.size() + ".");
    }
    List<Mass> masses = new ArrayList<>();
    for (int i = 0; i < numbers.size(); i++) {
      masses.add(Figures.mass(places.get(i), numbers.get(i), unit));
    }
    return new Work.Series(masses);
  }
}
