package org.yarbel.core.plan.progress;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * Whom and what a rule writes for.
 *
 * @param loadables what goes on the bar for this lift; null where nothing does
 * @param perWeek exposures a week, from 1
 * @param countdown to the contest this leads to; null when it leads to none
 */
public record Brief(Lift lift, MassUnit unit, MaxNumbers numbers, EffortChart chart, @Nullable Loadables loadables,
    Settings settings, int perWeek, Catalogue lifts, @Nullable Countdown countdown) {
  private static final double REASON_TO_SHOW = 0.5;

  public Brief {
    if (perWeek < 1 || perWeek > 14) {
      throw new Refused("The exposures a week must be from 1 to 14 but were " + perWeek);
    }
  }

  /** One that leads to no contest. */
  public Brief(Lift lift, MassUnit unit, MaxNumbers numbers, EffortChart chart, @Nullable Loadables loadables, Settings settings,
      int perWeek, Catalogue lifts) {
    this(lift, unit, numbers, chart, loadables, settings, perWeek, lifts, null);
  }

  /** The same with the days that are left to the contest. */
  public Brief counting(@Nullable Countdown left) {
    return new Brief(lift, unit, numbers, chart, loadables, settings, perWeek, lifts, left);
  }

  /** The best known max: estimated, else tested. */
  Optional<Mass> max() {
    return Optional.ofNullable(numbers.best());
  }

  /** Where to start: a load a coach set, else their share of the max, the nearest there is; empty where neither is known. */
  Optional<Mass> start(Parameter.Number share) {
    return settings.get(Parameter.Loads.START, unit).or(() -> max().map(max -> max.scaled(settings.get(share) / 100))).map(this::near);
  }

  /** The step a coach set, else the usual one of the unit. */
  Mass step() {
    return settings.get(Parameter.Loads.STEP, unit).orElseGet(() -> Mass.of(unit.usualStep(), unit));
  }

  /** Whether legs and back do it, which bear larger steps. */
  boolean lowerBody() {
    return lift.movement() == Movement.SQUAT || lift.movement() == Movement.DEADLIFT;
  }

  /** The nearest load there is. */
  Mass near(Mass load) {
    if (loadables != null) {
      return loadables.nearest(load).total().shownIn(unit);
    }
    long step = Mass.of(unit.usualStep(), unit).nanograms();
    long down = load.nanograms() / step * step;
    return Mass.ofNanograms(load.nanograms() - down > step / 2 ? down + step : down, unit);
  }

  /** A step or more up, always a load that is there; the same load where there is none above. */
  Mass up(Mass load, Mass by) {
    Mass wanted = near(load.plus(by));
    return wanted.compareTo(load) > 0 || loadables == null ? wanted
        : loadables.above(load.plus(Mass.ofNanograms((long) (REASON_TO_SHOW * MassUnit.KG.nanograms()), unit))).map(l -> l.total()
            .shownIn(unit)).orElse(load);
  }

  /** The week of an exposure, from 0. */
  int week(int exposure) {
    return exposure / perWeek;
  }

  /** Which exposure of its week it is, from 0. */
  int ofWeek(int exposure) {
    return exposure % perWeek;
  }

  /** What lends itself to varying a lift: those of the list that the catalogue has. */
  List<String> variations(Parameter.Lifts parameter, List<String> usual) {
    return settings.has(parameter) ? settings.get(parameter, lifts) : usual;
  }
}
