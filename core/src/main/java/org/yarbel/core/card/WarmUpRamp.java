package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlateSeries;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * The warm-up to a top set: the bar for ten, then up with falling reps, in jumps that shrink.
 *
 * <p>Common practice, no source; the aims are our own default. From 70 % of the top on no jump is larger than the one
 * before (equal only where the plates force it), none anywhere is smaller than the last one to the top, and the last
 * step is 86 to 98 % of the top for one or two reps. A pull from the floor starts on the bar with one pair of full-size
 * plates. Of the ways that keep these rules it takes the one nearest the aims with the fewest plates. With poor plates
 * it takes what loads nearest the aims and says so in {@link #note()}.
 *
 * <p>In the other style the jumps are even. In both, of the ways to load the steps it takes the one with the fewest
 * plates coming off and going on.
 *
 * @param steps rising, the top set not included; at most eight where the jumps shrink
 * @param note what the plates could not do, else null
 */
public record WarmUpRamp(List<RampStep> steps, @Nullable String note) {
  /** Reps of a step by its share of the top load: so many from that share on. */
  private static final NavigableMap<Double, Integer> REPS = new TreeMap<>(Map.of(0.0, 8, 0.45, 5, 0.7, 3, 0.85, 2, 0.92, 1));
  private static final WarmUpRamp NONE = new WarmUpRamp(List.of(), null);

  static final double LAST_LEAST = 0.86;
  static final double LAST_MOST = 0.98;
  private static final int MOST_WHEN_WARM = 3;
  /** Where a bar in reverse bands starts, of what they hold: our own default. */
  private static final double ABOVE_HELD = 1.1;
  private static final int MOST_EVEN_STEPS = RampStyle.MOST_STEPS;

  public WarmUpRamp {
    steps = List.copyOf(steps);
  }

  /** The ramp to a top load in a style; empty when the top is not above the first step. */
  public static WarmUpRamp to(Mass top, Loadables loadables, Movement movement, RampStyle style) {
    return to(top, loadables, movement, WarmUp.of(style), Mass.ofNanograms(0, top.unit()));
  }

  /**
   * The ramp to a top load for a lifter as they are.
   *
   * @param held what reverse bands hold at the bottom: a bar that is not heavier floats, so the ramp starts above it
   */
  public static WarmUpRamp to(Mass top, Loadables loadables, Movement movement, WarmUp warmUp, Mass held) {
    if (warmUp.byHand() != null) {
      List<RampStep> written = byHand(top, loadables, warmUp.byHand());
      if (!written.isEmpty()) {
        return new WarmUpRamp(upToTop(written, top, loadables, movement, warmUp, held), null);
      }
    }
    return workedOut(top, loadables, movement, warmUp, held);
  }

  private static WarmUpRamp workedOut(Mass top, Loadables loadables, Movement movement, WarmUp warmUp, Mass held) {
    Loading start = held.isZero() ? start(loadables, movement)
        : loadables.above(held.scaled(ABOVE_HELD)).orElseGet(loadables::heaviest);
    Mass jump = warmUp.style().jump();
    WarmUpRamp ramp = jump == null ? to(top, start, loadables, movement) : even(top, start, jump, loadables);
    List<RampStep> steps = limited(warm(ramp.steps, warmUp.warmTo(), top), warmUp.style().most());
    return steps.isEmpty() ? new WarmUpRamp(steps, ramp.note)
        : new WarmUpRamp(fewChanges(steps, top, movement.fromFloor(), loadables), ramp.note);
  }

  /** What a lift that is warm still needs: what lies a last jump or more over where it was taken, at most three steps. */
  private static List<RampStep> warm(List<RampStep> steps, @Nullable Mass warmTo, Mass top) {
    if (warmTo == null || steps.isEmpty()) {
      return steps;
    }
    long lastJump = top.nanograms() - steps.get(steps.size() - 1).load().nanograms();
    long least = warmTo.isZero() ? 0 : warmTo.nanograms() + lastJump;
    List<RampStep> over = steps.stream().filter(step -> step.load().nanograms() >= least).toList();
    return over.subList(Math.max(over.size() - MOST_WHEN_WARM, 0), over.size());
  }

  /** The first step and the last ones: what lies between goes first. */
  private static List<RampStep> limited(List<RampStep> steps, @Nullable Integer most) {
    if (most == null || steps.size() <= most) {
      return steps;
    }
    List<RampStep> kept = new ArrayList<>(steps.subList(0, 1));
    kept.addAll(steps.subList(steps.size() - most + 1, steps.size()));
    return kept;
  }

  private static List<RampStep> byHand(Mass top, Loadables loadables, HandRamp written) {
    List<RampStep> steps = new ArrayList<>();
    for (HandRamp.Step step : written.steps()) {
      Loading loading = loadables.written(step.load());
      boolean below = loading.total().compareTo(top) < 0 && !loading.total().hits(top);
      if (below && (steps.isEmpty() || loading.total().compareTo(steps.get(steps.size() - 1).load()) > 0)) {
        steps.add(new RampStep(loading, step.reps()));
      }
    }
    return steps;
  }

  /** Hand-written steps stand; where they end too low for a top that rose, worked-out ones go on from there. */
  private static List<RampStep> upToTop(List<RampStep> written, Mass top, Loadables loadables, Movement movement,
      WarmUp warmUp, Mass held) {
    RampStep last = written.get(written.size() - 1);
    if (last.load().ratioTo(top) >= LAST_LEAST) {
      return written;
    }
    List<RampStep> all = new ArrayList<>(written);
    for (RampStep step : workedOut(top, loadables, movement, new WarmUp(warmUp.style(), last.load(), null), held).steps) {
      all.add(new RampStep(step.loading(), Math.min(step.reps(), last.reps())));
    }
    return all;
  }

  private static List<RampStep> fewChanges(List<RampStep> steps, Mass top, boolean fromFloor, Loadables loadables) {
    List<Loading> before = new ArrayList<>(steps.size());
    steps.forEach(step -> before.add(step.loading()));
    List<Loading> loadings = PlateSeries.upTo(before, loadables.nearest(top), fromFloor, loadables);
    List<RampStep> changed = new ArrayList<>(steps.size());
    for (int i = 0; i < steps.size(); i++) {
      changed.add(new RampStep(loadings.get(i), steps.get(i).reps()));
    }
    return changed;
  }

  /** Equal jumps from the first step; the last is dropped when it is nearer to the top than a quarter jump. */
  private static WarmUpRamp even(Mass top, Loading start, Mass jump, Loadables loadables) {
    List<Loading> loadings = new ArrayList<>();
    if (start.total().compareTo(top) < 0 && !start.total().hits(top)) {
      loadings.add(start);
    }
    for (int i = 1; i <= MOST_EVEN_STEPS; i++) {
      Loading step = loadables.nearest(start.total().plus(jump.times(i)));
      boolean rises = !loadings.isEmpty() && step.total().compareTo(loadings.get(loadings.size() - 1).total()) > 0;
      boolean farEnough = step.total().compareTo(top) < 0 && top.minus(step.total()).nanograms() * 4 >= jump.nanograms();
      if (rises && farEnough) {
        loadings.add(step);
      }
    }
    List<RampStep> steps = new ArrayList<>();
    for (Loading loading : loadings) {
      steps.add(new RampStep(loading, reps(loading.total().ratioTo(top), loading.perSide().isEmpty())));
    }
    return new WarmUpRamp(steps, null);
  }

  private static WarmUpRamp to(Mass top, Loading start, Loadables loadables, Movement movement) {
    if (start.total().compareTo(top) >= 0 || start.total().hits(top)) {
      boolean raised = movement.fromFloor() && !start.total().hits(top);
      return raised
          ? new WarmUpRamp(List.of(), "A pull lighter than " + start.total().text()
              + " starts too low: raise the bar on blocks, or use light full-size plates.")
          : NONE;
    }
    RampSearch search = new RampSearch(top, start, loadables);
    int[] finish = search.finish();
    return finish.length == 0 ? poor(top, start, loadables) : ramp(top, search.withLower(finish), null);
  }

  private static Loading start(Loadables loadables, Movement movement) {
    if (!movement.fromFloor()) {
      return loadables.lightest();
    }
    Kit kit = loadables.kit();
    Mass fullSize = Mass.of(kit.unit() == MassUnit.KG ? "20" : "45", kit.unit());
    return kit.stock().plates().stream()
        .map(PlateStock.Pairs::size)
        .filter(size -> size.compareTo(fullSize) <= 0)
        .findFirst()
        .or(() -> kit.stock().plates().stream().map(PlateStock.Pairs::size).findFirst())
        .map(size -> new Loading(kit.empty().plus(size.times(2)), List.of(size)))
        .orElseGet(loadables::lightest);
  }

  private static WarmUpRamp ramp(Mass top, List<Loading> loadings, @Nullable String note) {
    List<RampStep> steps = new ArrayList<>();
    for (int i = 0; i < loadings.size(); i++) {
      double share = loadings.get(i).total().ratioTo(top);
      boolean bareBar = loadings.get(i).perSide().isEmpty();
      boolean last = i == loadings.size() - 1;
      int reps = reps(share, bareBar);
      steps.add(new RampStep(loadings.get(i), last ? Math.min(reps, loadings.size() == 1 && share < 0.7 ? 10 : 2) : reps));
    }
    return new WarmUpRamp(steps, note);
  }

  private static int reps(double share, boolean bareBar) {
    if (share < 0.5 && bareBar) {
      return 10;
    }
    return REPS.headMap(share, true).lastEntry().getValue();
  }

  /** What loads nearest the aims, without the rules of the jumps. */
  private static WarmUpRamp poor(Mass top, Loading start, Loadables loadables) {
    List<Loading> loadings = new ArrayList<>(List.of(start));
    for (double aim : new double[] {0.4, 0.6, 0.76, 0.885, 0.95}) {
      loadables.below(top.scaled(LAST_MOST)).ifPresent(most -> {
        Loading nearest = loadables.nearest(top.scaled(aim));
        Loading step = nearest.total().compareTo(most.total()) > 0 ? most : nearest;
        if (step.total().compareTo(loadings.get(loadings.size() - 1).total()) > 0) {
          loadings.add(step);
        }
      });
    }
    Mass last = loadings.get(loadings.size() - 1).total();
    boolean tooFar = last.ratioTo(top) < LAST_LEAST;
    return ramp(top, loadings, tooFar
        ? "The plates here make nothing between 86 and 98 % of " + top.text() + ": the last warm-up is " + last.text() + "."
        : "The plates here force uneven jumps to " + top.text() + ".");
  }
}
