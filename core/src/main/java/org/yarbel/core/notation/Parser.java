package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Reads the notation with one cursor and a method a production; after a problem it goes on at the next part. */
final class Parser {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private static final BigDecimal MAX_PERCENT = BigDecimal.valueOf(150);
  private static final Mass MAX_MASS = Mass.of("1000", MassUnit.KG);
  private static final List<String> WORDS = List.of("amrap", "bw", "rest", "tempo", "cap");

  private final Cursor in;
  private final List<Problem> problems = new ArrayList<>();

  Parser(String text) {
    this.in = new Cursor(text);
  }

  /** A problem that ends the part it stands in. */
  private static final class Stop extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient Problem problem;

    Stop(Span span, String message) {
      super(message, null, false, false);
      this.problem = Problem.at(span, message);
    }
  }

  ParsedLine line() {
    List<Part> parts = new ArrayList<>();
    List<ParsedLine.Places> places = new ArrayList<>();
    if (in.length() > WorkLine.MAX_LENGTH) {
      throw new NotationException(List.of(new Problem(WorkLine.MAX_LENGTH, in.length(),
          "A line has at most 500 characters; this one has " + in.length() + ".")));
    }
    do {
      try {
        PartReader reader = new PartReader(parts);
        parts.add(reader.read());
        places.add(reader.places());
        if (parts.size() > WorkLine.MAX_PARTS) {
          throw new Stop(reader.places().part(), "A line has at most 20 parts.");
        }
      } catch (Stop stop) {
        problems.add(stop.problem);
        in.skipPart();
      }
    } while (in.match(';'));
    if (!problems.isEmpty()) {
      throw new NotationException(problems);
    }
    return new ParsedLine(new WorkLine(parts), places);
  }

  /** The state of one part while it is read. */
  private final class PartReader {
    private final List<Part> before;
    private int start;
    private @Nullable Work work;
    private @Nullable Load load;
    private @Nullable Span loadSpan;
    private @Nullable RpeTarget rpe;
    private @Nullable Span rpeSpan;
    private final Map<Option.Kind, Option> options = new EnumMap<>(Option.Kind.class);

    PartReader(List<Part> before) {
      this.before = before;
    }

    Part read() {
      in.blanks();
      start = in.at();
      if (in.atEnd() || in.peek() == ';') {
        throw emptyPart();
      }
      work = work();
      while (in.blanks() && !in.atEnd() && in.peek() != ';') {
        item();
      }
      check();
      return new Part(work, load, rpe, List.copyOf(options.values()));
    }

    ParsedLine.Places places() {
      return new ParsedLine.Places(new Span(start, in.trimmedEnd(start)), loadSpan, rpeSpan);
    }

    private Stop emptyPart() {
      if (in.atEnd() && before.isEmpty() && problems.isEmpty()) {
        return new Stop(in.here(), "Write the work: sets x reps, then how heavy, such as 5x5 75%.");
      }
      Span place = in.atEnd() ? in.last(';') : new Span(in.at(), in.at() + 1);
      return new Stop(place, "A part is missing here: write one such as 4x4 -15%, or take the ; out.");
    }

    private void item() {
      int from = in.at();
      char next = in.peek();
      if (next == '@') {
        refuseSecond(rpe != null, "RPE", rpeTo(from));
      } else if (next == '-' || Cursor.digit(next)) {
        load(from, next == '-' ? drop() : percentOrMass());
      } else if (Cursor.letter(next)) {
        word(from);
      } else {
        throw new Stop(in.oneCharacter(), "The character '" + in.characterText() + "' means nothing here.");
      }
    }

    private void refuseSecond(boolean second, String what, Span span) {
      if (second) {
        throw new Stop(span, "A part has one " + what + "; this is the second.");
      }
    }

    private void load(int from, Load read) {
      Span span = in.from(from);
      refuseSecond(load != null, "load", span);
      load = read;
      loadSpan = span;
    }

    private Span rpeTo(int from) {
      boolean second = rpe != null;
      RpeTarget read = rpeTarget();
      Span span = in.from(from);
      if (!second) {
        rpe = read;
        rpeSpan = span;
      } else {
        refuseSecond(true, "RPE", span);
      }
      return span;
    }

    private void word(int from) {
      String word = in.word();
      if (word.equals("bw")) {
        load(from, bodyMass());
        return;
      }
      for (Option.Kind kind : Option.Kind.values()) {
        if (kind.word().equals(word)) {
          Option option = option(kind);
          if (options.put(kind, option) != null) {
            throw new Stop(in.from(from), "A part has one " + word + "; this is the second.");
          }
          return;
        }
      }
      throw unknown(in.from(from), word);
    }

    private void check() {
      boolean open = work instanceof Work.SetsOfReps sets && sets.reps() instanceof Reps.Open;
      if (open && rpe != null && rpeSpan != null) {
        throw new Stop(rpeSpan, "An open set has no RPE to reach: write cap " + rpe + " to stop there.");
      }
      // where an earlier part could not be read, it may well have been the top set
      boolean nothingBefore = problems.isEmpty() && before.stream().noneMatch(Part::loaded);
      if (load != null && loadSpan != null && load.needsTop() && nothingBefore) {
        throw new Stop(loadSpan, "Nothing loaded stands before this: write the top set first, such as 1x1 @8; 4x4 -15%.");
      }
    }
  }

  private Work work() {
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      if (Cursor.letter(in.peek())) {
        String word = in.word();
        if (word.startsWith("x")) {
          throw new Stop(new Span(from, from + 1), "The number of sets is missing: write it before the x, such as 5x5.");
        }
        throw unknown(in.from(from), word);
      }
      throw new Stop(in.oneCharacter(), "A part begins with sets x reps, such as 5x5.");
    }
    int sets = whole("sets", 50);
    in.blanks();
    if (!in.matchTimes()) {
      throw new Stop(in.here(), "The times sign is missing: write " + sets + "x5 for " + sets + " sets of 5.");
    }
    in.blanks();
    return new Work.SetsOfReps(sets, reps());
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
    int least = whole("reps", 100);
    int behind = in.at();
    in.blanks();
    if (in.match('+')) {
      return new Reps.AtLeast(least);
    }
    if (in.peek() == '-' && !dropFollows()) {
      in.match('-');
      in.blanks();
      int most = whole("reps", 100);
      if (most <= least) {
        throw new Stop(in.from(from), "A range goes from the lower to the higher: write "
            + (most == least ? Integer.toString(least) : most + "-" + least) + ".");
      }
      return new Reps.Between(least, most);
    }
    in.backTo(behind);
    return new Reps.Exactly(least);
  }

  /** Whether the {@code -} at the cursor begins a drop: its number is followed by %, kg or lb. */
  private boolean dropFollows() {
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

  private Load drop() {
    int from = in.at();
    in.match('-');
    in.blanks();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.from(from), "A drop needs a number: write -15% or -10kg.");
    }
    BigDecimal number = decimal();
    in.blanks();
    if (in.match('%')) {
      if (number.signum() <= 0 || number.compareTo(HUNDRED) >= 0) {
        throw new Stop(in.from(from), "A drop must be over 0 % and under 100 % but was " + number.toPlainString() + " %.");
      }
      return new Load.Drop(number, null, each());
    }
    Mass mass = mass(from, number, "a drop is written -15% or -10kg");
    return new Load.Drop(null, mass, each());
  }

  private boolean each() {
    return in.matchWord("each");
  }

  private Load percentOrMass() {
    int from = in.at();
    BigDecimal low = decimal();
    in.blanks();
    if (in.peek() == '-') {
      return percentRange(from, low);
    }
    if (in.match('%')) {
      return percentOf(percent(from, low), null);
    }
    return new Load.OfMass(mass(from, low, "write " + plain(low) + "kg, " + plain(low) + "lb or " + plain(low) + "%"));
  }

  private Load percentRange(int from, BigDecimal low) {
    in.match('-');
    in.blanks();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.from(from), "A range needs two numbers: write 70-75%.");
    }
    BigDecimal high = decimal();
    in.blanks();
    if (!in.match('%')) {
      throw new Stop(in.from(from), "Only a percentage can be a range of loads: write 70-75%, or one load such as 75kg.");
    }
    percent(from, low);
    percent(from, high);
    if (high.compareTo(low) <= 0) {
      throw new Stop(in.from(from), "A range goes from the lower to the higher: write "
          + (high.compareTo(low) == 0 ? plain(low) : plain(high) + "-" + plain(low)) + "%.");
    }
    return percentOf(low, high);
  }

  private BigDecimal percent(int from, BigDecimal number) {
    if (number.signum() <= 0 || number.compareTo(MAX_PERCENT) > 0) {
      throw new Stop(in.from(from), "A percentage must be over 0 and at most 150 but was " + plain(number) + ".");
    }
    return number;
  }

  private Load percentOf(BigDecimal low, @Nullable BigDecimal high) {
    if (in.matchWord("top")) {
      return new Load.ShareOfTop(low, high);
    }
    Basis basis = null;
    int behind = in.at();
    in.blanks();
    if (Cursor.letter(in.peek())) {
      Optional<Basis> named = Basis.ofWord(in.word());
      if (named.isPresent()) {
        basis = named.get();
        behind = in.at();
      }
    }
    in.backTo(behind);
    if (!in.matchWord("of")) {
      return new Load.Percent(low, high, basis, null);
    }
    in.blanks();
    int from = in.at();
    if (!Cursor.letter(in.peek())) {
      throw new Stop(in.here(), "The lift is missing: write its key after of, such as 60% of deadlift.");
    }
    String lift = in.liftKey();
    if (basis == Basis.TODAY) {
      throw new Stop(in.from(from), "Today's max is of this lift only: write est, tested, tm or goal of " + lift + ".");
    }
    return new Load.Percent(low, high, basis, lift);
  }

  private Load bodyMass() {
    int behind = in.at();
    in.blanks();
    if (!in.match('+')) {
      in.backTo(behind);
      return new Load.BodyMass(null);
    }
    in.blanks();
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The added load is missing: write bw+20kg.");
    }
    return new Load.BodyMass(mass(from, decimal(), "write bw+20kg"));
  }

  private Mass mass(int from, BigDecimal number, String right) {
    int behind = in.at();
    in.blanks();
    Optional<MassUnit> unit = Cursor.letter(in.peek()) ? unitOf(in.word()) : Optional.empty();
    if (unit.isEmpty()) {
      in.backTo(behind);
      throw new Stop(in.from(from), "The unit is missing: " + right + ".");
    }
    // the size is looked at before a mass is made of it: a typed number may have five hundred digits
    if (number.signum() <= 0 || number.compareTo(BigDecimal.valueOf(10_000)) > 0
        || Mass.of(number, unit.get()).compareTo(MAX_MASS) > 0) {
      throw new Stop(in.from(from), "A load must be over 0 and at most 1000 kg but was " + plain(number) + " " + unit.get() + ".");
    }
    return Mass.of(number, unit.get());
  }

  private static Optional<MassUnit> unitOf(String word) {
    return switch (word) {
      case "kg" -> Optional.of(MassUnit.KG);
      case "lb" -> Optional.of(MassUnit.LB);
      default -> Optional.empty();
    };
  }

  private RpeTarget rpeTarget() {
    int from = in.at();
    Rpe low = rpe(from);
    int behind = in.at();
    in.blanks();
    if (in.peek() != '-' || dropFollows()) {
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

  private Rpe rpe(int from) {
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
    } catch (IllegalArgumentException notHalf) {
      throw new Stop(in.from(from), "RPE is given in halves, such as @8 or @8.5, but was " + plain(number) + ".");
    }
  }

  private Option option(Option.Kind kind) {
    in.blanks();
    return switch (kind) {
      case REST -> new Option.Rest(time(kind.word()));
      case TEMPO -> new Option.Tempo(tempo());
      case CAP -> new Option.Cap(rpe(in.at()));
    };
  }

  private int time(String word) {
    int from = in.at();
    String right = "write " + word + " 90s or " + word + " 2:00";
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The time is missing: " + right + ".");
    }
    BigDecimal number = decimal();
    in.blanks();
    BigDecimal seconds;
    if (in.match(':')) {
      in.blanks();
      String rest = Cursor.digit(in.peek()) ? in.numberText() : "";
      if (rest.length() != 2 || rest.compareTo("59") > 0 || number.scale() > 0) {
        throw new Stop(in.from(from), "The seconds must be two digits from 00 to 59: " + right + ".");
      }
      seconds = number.multiply(BigDecimal.valueOf(60)).add(new BigDecimal(rest));
    } else if (in.matchWord("s")) {
      seconds = number;
    } else {
      throw new Stop(in.from(from), "The time needs its unit: " + right + ".");
    }
    if (seconds.stripTrailingZeros().scale() > 0 || seconds.signum() <= 0
        || seconds.compareTo(BigDecimal.valueOf(3600)) > 0) {
      throw new Stop(in.from(from), "A time must be a whole number of seconds from 1s to 60:00.");
    }
    return seconds.intValueExact();
  }

  private List<@Nullable Integer> tempo() {
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

  private int whole(String what, int most) {
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

  private BigDecimal decimal() {
    int from = in.at();
    String text = in.numberText();
    int point = text.indexOf('.');
    if (point == text.length() - 1) {
      throw new Stop(in.from(from), "A number cannot end with its point.");
    }
    if (point >= 0 && text.length() - point > 3) {
      throw new Stop(in.from(from), "A number has at most two decimals.");
    }
    BigDecimal number = new BigDecimal(text);
    return number.stripTrailingZeros().scale() <= 0 ? number.setScale(0) : number.stripTrailingZeros();
  }

  private static String plain(BigDecimal number) {
    String text = number.toPlainString();
    return text.length() <= 12 ? text : text.substring(0, 12) + "…";
  }

  private Stop unknown(Span span, String word) {
    String said = word.length() <= 20 ? word : word.substring(0, 20) + "…";
    String hint = "";
    for (String known : WORDS) {
      if (near(word, known)) {
        hint = " Maybe " + (known.equals("amrap") ? "AMRAP" : known) + " was meant?";
        break;
      }
    }
    return new Stop(span, "The word '" + said + "' is not known here." + hint);
  }

  /** One letter wrong, missing, too many or two swapped. */
  private static boolean near(String word, String known) {
    if (Math.abs(word.length() - known.length()) > 1 || known.length() < 3) {
      return false;
    }
    int same = 0;
    while (same < Math.min(word.length(), known.length()) && word.charAt(same) == known.charAt(same)) {
      same++;
    }
    int tail = 0;
    while (tail < Math.min(word.length(), known.length()) - same
        && word.charAt(word.length() - 1 - tail) == known.charAt(known.length() - 1 - tail)) {
      tail++;
    }
    int left = Math.max(word.length(), known.length()) - same - tail;
    return left <= 1 || left == 2 && word.length() == known.length()
        && word.charAt(same) == known.charAt(same + 1) && word.charAt(same + 1) == known.charAt(same);
  }
}
