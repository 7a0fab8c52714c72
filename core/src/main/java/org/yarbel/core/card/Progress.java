package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Problem;
import org.yarbel.core.notation.Span;

/** A line while it is worked out: the sets so far, what is wrong, what to mind. */
final class Progress {
  private final Resolver.Request request;
  private final Map<LoggedSet.Place, LoggedSet> logged = new HashMap<>();
  private final List<Entry> entries = new ArrayList<>();
  private final List<Problem> problems = new ArrayList<>();
  private final Map<String, Caution> cautions = new LinkedHashMap<>();

  Progress(Resolver.Request request) {
    this.request = request;
    for (LoggedSet set : request.logged()) {
      logged.putIfAbsent(set.place(), set);
    }
  }

  /**
   * A set as it was planned and as it is.
   *
   * @param onBar whether plates can make it
   * @param swings whether chains or bands make its load differ on the way
   */
  record Entry(ResolvedSet planned, ResolvedSet now, boolean onBar, boolean swings) {
    boolean warm() {
      return now.role() == Role.WARM;
    }

    boolean made() {
      Integer reps = now.reps();
      return now.logged() && reps != null && reps > 0 && now.load() != null;
    }
  }

  Resolver.Request request() {
    return request;
  }

  @Nullable LoggedSet logged(int part, int set) {
    return logged.isEmpty() ? null : logged.get(new LoggedSet.Place(part, set));
  }

  /** What is logged of a part behind a number of sets, in order. */
  List<LoggedSet> loggedBehind(int part, int sets) {
    return logged.isEmpty() ? List.of() : logged.values().stream().filter(set -> set.part() == part && set.set() > sets)
        .sorted(Comparator.comparingInt(LoggedSet::set)).toList();
  }

  void add(Entry entry) {
    entries.add(entry);
  }

  List<Entry> entries() {
    return entries;
  }

  void problem(Span place, String message) {
    problems.add(Problem.at(place, message));
  }

  List<Problem> problems() {
    return problems;
  }

  /** The first caution of a code stands. */
  void caution(Caution caution) {
    cautions.putIfAbsent(caution.code(), caution);
  }

  /** One about a part: of one text the parts are gathered, so that it can be shown where each of them is lifted. */
  void caution(Caution caution, int part) {
    cautions.merge(caution.code() + " " + caution.text(), caution.of(part), (said, again) -> said.of(part));
  }

  List<Caution> cautions() {
    return List.copyOf(cautions.values());
  }

  /** The heaviest logged set before a part with a rep made; the first of equally heavy ones. Warm-ups never count. */
  @Nullable Entry heaviestLogged(int beforePart) {
    Entry best = null;
    for (Entry entry : entries) {
      if (entry.now().part() < beforePart && !entry.warm() && entry.made() && heavier(entry.now(), best == null ? null : best.now())) {
        best = entry;
      }
    }
    return best;
  }

  /**
   * The set that drops of a part refer to: the heaviest logged, else the heaviest planned. Null only where a problem
   * was found before.
   */
  @Nullable Entry top(int part) {
    Entry done = heaviestLogged(part);
    if (done != null) {
      return done;
    }
    Entry best = null;
    boolean missed = false;
    for (Entry entry : entries) {
      if (entry.now().part() < part && !entry.warm()) {
        missed |= entry.now().logged();
        if (heavier(entry.planned(), best == null ? null : best.planned())) {
          best = entry;
        }
      }
    }
    if (missed) {
      caution(Caution.noRepMade());
    }
    return best == null ? null : new Entry(best.planned(), best.planned(), best.onBar(), best.swings());
  }

  private static boolean heavier(ResolvedSet set, @Nullable ResolvedSet than) {
    Mass load = set.load();
    Mass other = than == null ? null : than.load();
    return load != null && (other == null || load.compareTo(other) > 0);
  }

  /** Today's max of a logged set: load / percent(reps, RPE), raw; null unrated, with bands or chains, or beyond 15 reps to failure. */
  @Nullable Mass today(@Nullable Entry top) {
    if (top == null || !top.made() || top.swings() || top.now().rpe() == null) {
      return null;
    }
    ResolvedSet set = top.now();
    Mass load = set.load();
    Integer reps = set.reps();
    if (load == null || reps == null || set.rpe() == null) {
      return null;
    }
    OptionalDouble fraction = request.chart().fraction(reps, set.rpe().value());
    return fraction.isEmpty() ? null : load.scaled(1 / fraction.getAsDouble()).shownIn(request.unit());
  }
}
