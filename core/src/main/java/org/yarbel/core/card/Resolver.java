package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.Part;

/**
 * Works a line out for one lifter: sets with loads that can be put on the bar.
 *
 * <p>Percentages and RPEs give an exact load; the planned one is the nearest that loads, the lower of two equally near,
 * and the one below where a miss costs the set. Back-offs follow the heaviest logged set of the parts before with a rep
 * made, until one is logged the heaviest planned. Nothing falls back silently: a basis without a number is a problem at
 * its place.
 */
public final class Resolver {
  private Resolver() {}

  /**
   * What a line is worked out with.
   *
   * @param basis of percentages that name none; not {@link Basis#TODAY}
   * @param numbers of this lift
   * @param others of other lifts, by key
   * @param bodyMass null when it is unknown
   * @param loadables null where nothing goes on a bar: loads stay exact
   * @param unit of the answers
   * @param partial whether the variation is a partial, which may exceed the max by more
   * @param logged what was done so far, in any order
   * @param warmUp how to lead up to the first working set; null for not at all
   * @param level in this lift, for what to mind; null when nobody says
   */
  public record Request(
      ParsedLine line,
      Basis basis,
      MaxNumbers numbers,
      Map<String, MaxNumbers> others,
      @Nullable Mass bodyMass,
      @Nullable Loadables loadables,
      MassUnit unit,
      EffortChart chart,
      Movement movement,
      boolean partial,
      List<LoggedSet> logged,
      @Nullable WarmUp warmUp,
      @Nullable Level level) {
    /** A line of a barbell lift with nothing logged, by the house chart, with its ramp. */
    public static Request of(ParsedLine line, Basis basis, MaxNumbers numbers, Loadables loadables) {
      return new Request(line, basis, numbers, Map.of(), null, loadables, loadables.kit().unit(), EffortChart.HOUSE,
          Movement.SQUAT, false, List.of(), WarmUp.SHRINKING, null);
    }

    /** The same sets of another line. */
    public Request withLine(ParsedLine other) {
      return new Request(other, basis, numbers, others, bodyMass, loadables, unit, chart, movement, partial, logged, warmUp, level);
    }

    /** The same with what was done. */
    public Request withLogged(List<LoggedSet> done) {
      return new Request(line, basis, numbers, others, bodyMass, loadables, unit, chart, movement, partial, done, warmUp, level);
    }

    /** The same with another way to warm up; null for none. */
    public Request withWarmUp(@Nullable WarmUp other) {
      return new Request(line, basis, numbers, others, bodyMass, loadables, unit, chart, movement, partial, logged, other, level);
    }
  }

  /**
   * Works a line out.
   *
   * @throws NotationException with the places of what this lifter lacks, or of loads that are refused
   */
  public static ResolvedLine resolve(Request request) {
    Progress progress = new Progress(request);
    List<Part> parts = request.line().line().parts();
    for (int i = 0; i < parts.size(); i++) {
      new PartResolver(progress, parts.get(i), i + 1, request.line().places().get(i)).resolve();
    }
    if (!progress.problems().isEmpty()) {
      throw new NotationException(progress.problems());
    }
    List<ResolvedSet> sets = new ArrayList<>(progress.entries().size());
    progress.entries().forEach(entry -> sets.add(entry.now()));
    markTops(progress, parts, sets);
    List<RampStep> ramp = ramp(progress, sets);
    return new ResolvedLine(request.line().line().toString(), ramp, sets,
        progress.today(progress.heaviestLogged(Integer.MAX_VALUE)), progress.cautions());
  }

  /** The part that holds the set which drops refer to is the top. */
  private static void markTops(Progress progress, List<Part> parts, List<ResolvedSet> sets) {
    for (int part = 1; part <= parts.size(); part++) {
      Load load = parts.get(part - 1).load();
      Progress.Entry top = load != null && load.needsTop() ? progress.top(part) : null;
      if (top != null) {
        int holds = top.now().part();
        sets.replaceAll(set -> set.part() == holds && set.role() == Role.STRAIGHT ? set.withRole(Role.TOP) : set);
      }
    }
  }

  /** Up to the first working set; none where a warm-up is written, or where nothing goes on a bar. */
  private static List<RampStep> ramp(Progress progress, List<ResolvedSet> sets) {
    Resolver.Request request = progress.request();
    WarmUp warmUp = request.warmUp();
    if (warmUp == null || request.loadables() == null || sets.stream().anyMatch(set -> set.role() == Role.WARM)) {
      return List.of();
    }
    ResolvedSet first = sets.get(0);
    if (first.load() == null || first.perSide() == null) {
      return List.of();
    }
    Mass held = Hanging.of(request.line().line().parts().get(0)).held();
    WarmUpRamp ramp = WarmUpRamp.to(Objects.requireNonNull(first.load()), request.loadables(), request.movement(), warmUp, held);
    if (ramp.note() != null) {
      progress.caution(Caution.poorRamp(ramp.note()));
    }
    return ramp.steps();
  }
}
