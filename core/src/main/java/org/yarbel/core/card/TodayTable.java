package org.yarbel.core.card;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.Tracker;

/**
 * What today's max becomes for every load and rating that the top set of a line may come out at, and what its back-offs weigh from it,
 * worked out by the tracker while nothing of the lift is lifted that day, so that a phone without a network looks it up. It is of the
 * first set, with the reps that were asked.
 *
 * @param place of the top set
 * @param reps that were asked of it
 * @param rows one for every load that the kit makes within 6 % of the planned one, and every way to rate it
 */
public record TodayTable(LoggedSet.Place place, int reps, List<Row> rows) {
  /** How far from the planned top set the table reaches, both ways. Our own default: further off a card asks. */
  public static final double REACH = 0.06;

  /**
   * The set came out like this; then this is today's max.
   *
   * @param rated {@code easier}, a rating, or empty for none; of a miss {@code missed}
   * @param beside what back-offs weigh from it, by part; empty where those that are planned serve
   */
  public record Row(Mass load, String rated, Mass today, Map<Integer, Loading> beside) {}

  public TodayTable {
    rows = List.copyOf(rows);
  }

  /**
   * The table of a line.
   *
   * @param backOffs what hangs on its top set
   * @param from where the tracker of the lift stands, on a day before
   * @return empty where nothing hangs on a top set with so many reps
   */
  public static Optional<TodayTable> of(Resolver.Request request, List<BackOffTable> backOffs, Standing from, LocalDate day) {
    Loadables loadables = request.loadables();
    Mass max = request.numbers().best();
    Optional<ResolvedSet> top = top(request);
    if (loadables == null || max == null || top.isEmpty() || !from.day().isBefore(day)) {
      return Optional.empty();
    }
    ResolvedSet set = top.get();
    Mass load = Objects.requireNonNull(set.load());
    Map<Integer, Mass> planned = FromToday.planned(request);
    List<Row> rows = new ArrayList<>();
    for (Loading loading : loadables.between(load.scaled(1 - REACH), load.scaled(1 + REACH))) {
      Map<Integer, Mass> stand = stand(backOffs, loading.total());
      for (Outcome outcome : Outcome.of(Objects.requireNonNull(set.reps()))) {
        CameOut came = new CameOut(from, day, set, loading.total(), outcome);
        TodaysMax today = came.today(request);
        boolean off = FromToday.off(request.withLogged(List.of(came.logged())), max, today);
        rows.add(new Row(loading.total(), outcome.word(), today.now(),
            off ? FromToday.beside(planned, stand, today.now().ratioTo(max), loadables) : Map.of()));
      }
    }
    return Optional.of(new TodayTable(new LoggedSet.Place(set.part(), set.set()), set.reps(), rows));
  }

  /** What the back-offs are by a top set of so much. */
  private static Map<Integer, Mass> stand(List<BackOffTable> backOffs, Mass top) {
    Map<Integer, Mass> stand = new HashMap<>();
    backOffs.forEach(table -> table.rows().stream().filter(row -> row.reference().hits(top)).findFirst()
        .ifPresent(row -> stand.put(table.part(), row.then().total())));
    return stand;
  }

  private static Optional<ResolvedSet> top(Resolver.Request request) {
    List<ResolvedSet> planned = Resolver.resolve(request.withWarmUp(null).withLogged(List.of())).sets();
    return PlannedTop.before(planned, PlannedTop.firstBackOff(request.line().line().parts()))
        .filter(set -> set.reps() != null && set.tellsOfMax());
  }

  /** One way the top set may come out. */
  private record CameOut(Standing from, LocalDate day, ResolvedSet asked, Mass load, Outcome outcome) {
    TodaysMax today(Resolver.Request request) {
      Observation seen = Observation.of(day, load, outcome.reps(), outcome.rpe()).with(Observation.Trait.EASIER, outcome.easier());
      Outlook outlook = new Tracker(from.level(), List.of()).goOn(from, List.of(seen), request.unit()).on(day);
      return TodaysMax.of(Objects.requireNonNull(outlook), request.unit());
    }

    LoggedSet logged() {
      return new LoggedSet(asked.part(), asked.set(), load, outcome.reps(), outcome.rpe());
    }
  }

  /** What may be written down of a set with so many reps asked. */
  private record Outcome(int reps, @Nullable Rpe rpe, boolean easier) {
    static List<Outcome> of(int reps) {
      List<Outcome> all = new ArrayList<>();
      all.add(new Outcome(reps, null, true));
      for (int halves = Rpe.MIN.halves(); halves <= Rpe.MAX.halves(); halves++) {
        all.add(new Outcome(reps, new Rpe(halves), false));
      }
      all.add(new Outcome(reps, null, false));
      all.add(new Outcome(0, null, false));
      return all;
    }

    String word() {
      if (reps == 0) {
        return "missed";
      }
      if (easier) {
        return "easier";
      }
      return rpe == null ? "" : rpe.toString();
    }
  }
}
