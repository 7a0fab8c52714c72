package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Reads the notation with one cursor and a method a production; after a problem it goes on at the next part. */
final class Parser {
  private final Cursor in;
  private final Figures figures;
  private final LoadReader loads;
  private final WorkReader works;
  private final List<Problem> problems = new ArrayList<>();

  Parser(String text) {
    this.in = new Cursor(text);
    this.figures = new Figures(in);
    this.loads = new LoadReader(in, figures);
    this.works = new WorkReader(in, figures);
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
        problems.add(stop.problem());
        in.skipPart();
      }
    } while (in.match(';'));
    if (!problems.isEmpty()) {
      throw new NotationException(problems);
    }
    return new ParsedLine(new WorkLine(parts), places);
  }

  /**
   * How far the last part of an unfinished line has come.
   *
   * @param work null while it is not whole
   * @param pending the option whose figures are missing; null for none
   * @param loadLast whether the load is what was read last
   * @param broken whether something stands there that cannot be read
   */
  record Draft(@Nullable Work work, @Nullable Load load, @Nullable RpeTarget rpe, Set<Option.Kind> options,
      Option.@Nullable Kind pending, boolean loadLast, boolean broken, boolean loadedBefore) {}

  /** Reads as far as the line goes and says what its last part has. */
  Draft draft() {
    List<Part> parts = new ArrayList<>();
    PartReader reader;
    boolean broken;
    do {
      reader = new PartReader(parts);
      broken = false;
      try {
        parts.add(reader.read());
      } catch (Stop stop) {
        broken = true;
        in.skipPart();
      }
    } while (in.match(';'));
    boolean loadedBefore = parts.stream().limit(Math.max(parts.size() - (broken ? 0 : 1), 0)).anyMatch(Part::loaded);
    return reader.draft(broken, loadedBefore);
  }

  /** The state of one part while it is read. */
  private final class PartReader {
    private final List<Part> before;
    private int start;
    private @Nullable Work work;
    private Option.@Nullable Kind pending;
    private boolean loadLast;
    private boolean whole;
    private @Nullable Load load;
    private @Nullable Span loadSpan;
    private @Nullable RpeTarget rpe;
    private @Nullable Span rpeSpan;
    private final Map<Option.Kind, Option> options = new EnumMap<>(Option.Kind.class);
    private final Map<Option.Kind, Span> optionSpans = new EnumMap<>(Option.Kind.class);

    PartReader(List<Part> before) {
      this.before = before;
    }

    Part read() {
      in.blanks();
      start = in.at();
      if (in.atEnd() || in.peek() == ';') {
        throw emptyPart();
      }
      Work read = works.read();
      work = read;
      Span workSpan = in.from(start);
      while (in.blanks() && !in.atEnd() && in.peek() != ';') {
        item();
      }
      whole = true;
      // where an earlier part could not be read, it may well have been the top set
      boolean loadedBefore = !problems.isEmpty() || before.stream().anyMatch(Part::loaded);
      new PartCheck(read, workSpan, load, loadSpan, rpe, rpeSpan, options, optionSpans).check(loadedBefore);
      return new Part(read, load, rpe, List.copyOf(options.values()));
    }

    ParsedLine.Places places() {
      return new ParsedLine.Places(new Span(start, in.trimmedEnd(start)), loadSpan, rpeSpan);
    }

    Draft draft(boolean broken, boolean loadedBefore) {
      return new Draft(work, load, rpe, options.keySet(), pending, loadLast, broken && !whole, loadedBefore);
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
      loadLast = false;
      char next = in.peek();
      if (next == '@') {
        rpe(from);
      } else if (next == '-' || Cursor.digit(next)) {
        load(from, loads.read());
      } else if (Cursor.letter(next)) {
        word(from);
      } else {
        throw new Stop(in.oneCharacter(), "The character '" + in.characterText() + "' means nothing here.");
      }
    }

    private static Stop second(String what, Span span) {
      return new Stop(span, "A part has one " + what + "; this is the second.");
    }

    private void load(int from, Load read) {
      Span span = in.from(from);
      if (load != null) {
        throw second("load", span);
      }
      load = read;
      loadSpan = span;
      loadLast = true;
    }

    private void rpe(int from) {
      RpeTarget read = figures.rpeTarget();
      Span span = in.from(from);
      if (rpe != null) {
        throw second("RPE", span);
      }
      rpe = read;
      rpeSpan = span;
    }

    private void word(int from) {
      String word = in.word();
      Optional<Option.Kind> kind = Option.Kind.ofWord(word);
      if (word.equals("bw")) {
        load(from, loads.bodyMass());
      } else if (kind.isPresent()) {
        pending = kind.get();
        Option option = option(kind.get());
        pending = null;
        Span span = in.from(from);
        if (options.put(kind.get(), option) != null) {
          throw second(word, span);
        }
        optionSpans.put(kind.get(), span);
      } else if (WorkKind.ofWord(word).isPresent()) {
        throw new Stop(in.from(from), "A part has one kind of work: write ; before '" + word + "'.");
      } else {
        throw Words.unknown(in.from(from), word);
      }
    }
  }

  private Option option(Option.Kind kind) {
    in.blanks();
    return switch (kind) {
      case IN -> new Option.In(time(kind));
      case GAP -> new Option.Gap(time(kind));
      case EVERY -> new Option.Every(time(kind));
      case REST -> new Option.Rest(time(kind));
      case TEMPO -> new Option.Tempo(figures.tempo());
      case TURNS -> new Option.Turns(figures.whole("turns", 100));
      case CAP -> new Option.Cap(figures.rpe(in.at()));
      case UNTIL -> until();
      case CHAINS -> new Option.Chains(mass(kind));
      case BANDS -> bands();
      case REVERSE -> new Option.Reverse(mass(kind));
      case AT -> at();
    };
  }

  private int time(Option.Kind kind) {
    return figures.time(kind.word() + " 90s or " + kind.word() + " 2:00");
  }

  private Mass mass(Option.Kind kind) {
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The mass is missing: write " + kind.example() + ".");
    }
    return figures.mass(from, figures.decimal(), "write " + kind.example());
  }

  private Option until() {
    int from = in.at();
    if (!in.match('-')) {
      if (in.peek() != '@') {
        throw new Stop(in.here(), "The end is missing: write until @9 or until -5%.");
      }
      return new Option.Until(figures.rpe(from), null);
    }
    in.blanks();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.from(from), "The end is missing: write until @9 or until -5%.");
    }
    BigDecimal number = figures.decimal();
    in.blanks();
    if (!in.match('%')) {
      throw new Stop(in.from(from), "The end is an RPE or a percentage: write until @9 or until -5%.");
    }
    return new Option.Until(null, figures.dropPercent(from, number));
  }

  private Option bands() {
    String right = "write bands 10>40kg, their pull at the bottom first";
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The pull of the bands is missing: " + right + ".");
    }
    BigDecimal slack = figures.decimal();
    in.blanks();
    if (!in.match('>')) {
      throw new Stop(in.from(from), "Bands have two pulls: " + right + ".");
    }
    in.blanks();
    int second = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The pull at lock-out is missing: " + right + ".");
    }
    BigDecimal lockOut = figures.decimal();
    MassUnit unit = figures.unit(from, right);
    Mass top = Figures.mass(in.from(second), lockOut, unit);
    Mass bottom = slack.signum() == 0 ? Mass.ofNanograms(0, unit) : Figures.mass(in.from(from), slack, unit);
    if (bottom.compareTo(top) > 0) {
      throw new Stop(in.from(from), "Bands pull more at lock-out than at the bottom: write bands "
          + Figures.plain(lockOut) + ">" + Figures.plain(slack) + unit + ".");
    }
    return new Option.Bands(bottom, top);
  }

  private Option at() {
    int from = in.at();
    String point = in.word();
    return switch (point) {
      case "top" -> new Option.At(Option.Point.TOP);
      case "bottom" -> new Option.At(Option.Point.BOTTOM);
      default -> throw new Stop(point.isEmpty() ? in.here() : in.from(from), "The point is missing: write at top or at bottom.");
    };
  }
}
