package org.yarbel.core.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * What can come next in a line that is being typed, each with an example that could stand there.
 *
 * @param from where the proposals begin in the typed text: before the letters of an unfinished word, else at its end
 * @param proposals the likely ones first; empty where only a figure can finish what was begun
 */
public record Completion(int from, List<Proposal> proposals) {
  /** One way to go on. */
  public record Proposal(String text, String meaning) {}

  public Completion {
    proposals = List.copyOf(proposals);
  }

  /**
   * What can follow a text.
   *
   * @param typed the line up to the caret
   */
  public static Completion after(String typed) {
    int from = typed.length();
    while (from > 0 && Character.isLetter(typed.charAt(from - 1))) {
      from--;
    }
    String prefix = typed.substring(from).toLowerCase(Locale.ROOT);
    boolean insideNumber = from > 0 && !prefix.isEmpty() && Character.isDigit(typed.charAt(from - 1));
    if (insideNumber || typed.length() > WorkLine.MAX_LENGTH) {
      return new Completion(typed.length(), List.of());
    }
    Parser.Draft draft = new Parser(typed.substring(0, from)).draft();
    return new Completion(from, next(draft, typed.substring(0, from)).filter(p -> p.text().startsWith(prefix)).distinct().toList());
  }

  private static Stream<Proposal> next(Parser.Draft draft, String before) {
    if (draft.pending() != null) {
      return operands(draft.pending());
    }
    boolean begins = before.isBlank() || before.stripTrailing().endsWith(";");
    if (draft.work() == null) {
      return begins ? works(draft.loadedBefore()) : Stream.empty();
    }
    return draft.broken() ? Stream.empty() : afterWork(draft, draft.work().kind());
  }

  private static Stream<Proposal> works(boolean loadedBefore) {
    List<Proposal> all = new ArrayList<>();
    if (loadedBefore) {
      all.add(new Proposal("4x4 -15%", "back-offs, lighter than the top set"));
      all.add(new Proposal("3xAMRAP -7.5% each", "open sets, each lighter than the one before"));
    }
    all.add(new Proposal("5x5 75%", "sets x reps at a share of the max"));
    all.add(new Proposal("1x1 @8", "sets x reps at an RPE"));
    all.add(new Proposal("3x8-10", "sets x reps, the load left to the lifter"));
    all.add(new Proposal("3x5+ 85% tm", "the last set open"));
    all.add(new Proposal("2xAMRAP 70%", "open sets"));
    for (WorkKind kind : WorkKind.values()) {
      if (kind != WorkKind.SETS) {
        all.add(new Proposal(kind.example(), kind.meaning()));
      }
    }
    return all.stream();
  }

  private static Stream<Proposal> afterWork(Parser.Draft draft, WorkKind work) {
    List<Proposal> all = new ArrayList<>();
    boolean open = draft.work() instanceof Work.SetsOfReps sets && sets.reps() instanceof Reps.Open;
    boolean rated = draft.rpe() == null && work.ratings() != WorkKind.Ratings.NONE && !open;
    if (rated && work.ratings() == WorkKind.Ratings.ONE_NEEDED) {
      all.add(new Proposal("@7", "the RPE it ends at"));
    }
    for (Option.Kind kind : Option.Kind.values()) {
      if (kind.neededBy(work) && !draft.options().contains(kind)) {
        all.add(new Proposal(kind.example(), kind.meaning()));
      }
    }
    if (draft.load() == null) {
      all.addAll(loads(work, draft.loadedBefore()));
    } else if (draft.loadLast() && draft.load() instanceof Load.Percent percent && percent.basis() == null && percent.lift() == null) {
      all.addAll(bases(draft.loadedBefore() && work.loads() != WorkKind.Loads.SHARE_OR_MASS));
    } else if (draft.loadLast() && draft.load() instanceof Load.Drop drop && !drop.each()) {
      all.add(new Proposal("each", "each set lighter than the one before"));
    }
    if (rated && work.ratings() != WorkKind.Ratings.ONE_NEEDED) {
      all.add(new Proposal("@8", draft.load() == null && work.loadedByRpe() ? "by RPE: two reps left" : "how it should feel"));
    }
    boolean swings = draft.options().stream().anyMatch(Option.Kind::changesLoadOnTheWay);
    for (Option.Kind kind : Option.Kind.values()) {
      if (kind.on().contains(work) && !draft.options().contains(kind) && (kind != Option.Kind.AT || swings)) {
        all.add(new Proposal(kind.example(), kind.meaning()));
      }
    }
    all.add(new Proposal("; ", "and then"));
    return all.stream();
  }

  private static List<Proposal> loads(WorkKind work, boolean loadedBefore) {
    List<Proposal> all = new ArrayList<>();
    if (work.loads() != WorkKind.Loads.NONE) {
      if (loadedBefore && work.loads() == WorkKind.Loads.ANY) {
        all.add(new Proposal("-15%", "lighter than the top set"));
        all.add(new Proposal("80% top", "a share of the top set"));
      }
      all.add(new Proposal("75%", "a share of the max"));
      all.add(new Proposal("100kg", "that load"));
      if (work.loads() != WorkKind.Loads.SHARE_OR_MASS) {
        all.add(new Proposal("bw+20kg", "body mass and more"));
      }
    }
    return all;
  }

  private static List<Proposal> bases(boolean top) {
    List<Proposal> all = new ArrayList<>();
    for (Basis basis : Basis.values()) {
      all.add(new Proposal(basis.word(), "of " + (basis == Basis.TODAY ? "today's" : "the " + basis.key()) + " max"));
    }
    if (top) {
      all.add(new Proposal("top", "of the top set"));
    }
    all.add(new Proposal("of deadlift", "of another lift's max"));
    return all;
  }

  private static Stream<Proposal> operands(Option.Kind kind) {
    String example = kind.example().substring(kind.word().length() + 1);
    return switch (kind) {
      case REST -> Stream.of(new Proposal("90s", "a minute and a half"), new Proposal("3:00", "three minutes"));
      case UNTIL -> Stream.of(new Proposal("@9", "one set is that hard"), new Proposal("-5%", "a set is so far under the day's best"));
      case AT -> Stream.of(new Proposal("top", "at lock-out"), new Proposal("bottom", "at the bottom"));
      default -> Stream.of(new Proposal(example, kind.meaning()));
    };
  }
}
