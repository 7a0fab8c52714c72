package org.yarbel.core.plan.progress;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.yarbel.core.lift.Pattern;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Work;

/** A strongman event below contest mass, and every second or third week a rehearsal with it. */
final class EventWeeks implements Rule {
  private static final Parameter.Loads MASS = new Parameter.Loads("mass", "contest mass");
  private static final Parameter.Count EVERY = Parameter.Count.of("every", "a rehearsal every … weeks", 3, 2, 3);
  private static final Parameter.Count RUNS = Parameter.Count.of("runs", "runs or sets between", 3, 1, 8);
  private static final Parameter.Count METRES = Parameter.Count.of("metres", "metres", 20, 5, 100);
  private static final Parameter.Count LIMIT = Parameter.Count.of("limit", "time limit, s", 60, 10, 180);

  private static final double FIRST = 0.75;
  private static final double SECOND = 0.85;
  private static final double LIGHT = 0.6;
  private static final int LAST_RUN = 10;
  private static final int TAPER_DAYS = 7;
  private static final int REST_DAYS = 3;
  private static final int HOLD_SECONDS = 20;
  private static final int REPS = 5;
  /** Between runs, in seconds. */
  private static final int REST = 180;

  @Override
  public List<Parameter> parameters() {
    return List.of(MASS, EVERY, RUNS, METRES, LIMIT);
  }

  @Override
  public boolean countsDown() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    Optional<Mass> contest = brief.settings().get(MASS, brief.unit());
    Countdown left = brief.countdown();
    if (left != null && left.days() <= REST_DAYS) {
      return Exposure.none(left.days() <= 0 ? "The day of the contest: the platform is the session." : Count.of(left.days(), "day")
          + " to the contest: rest.");
    }
    int every = brief.settings().get(EVERY);
    int week = brief.week(number) % every;
    boolean near = left != null && left.days() < LAST_RUN + TAPER_DAYS;
    OptionalInt last = left == null ? OptionalInt.empty() : left.lastHeavy(LAST_RUN);
    boolean rehearsal = near ? last.isPresent() && last.getAsInt() == left.days() : week == every - 1 && brief.ofWeek(number) == 0;
    boolean light = near && left.days() < LAST_RUN;
    double share = share(rehearsal, light, week == 0 && every > 2);
    Exposure exposure = Exposure.of(brief, switch (brief.lift().pattern()) {
      case CARRY, DRAG -> carry(brief, contest, rehearsal, share);
      case LOADING, THROW -> series(brief, contest, rehearsal, share);
      case HOLD -> rehearsal ? load(PartOf.of(new Work.Hold(1, brief.settings().get(LIMIT))), brief, contest, 1)
          : load(PartOf.of(new Work.Hold(brief.settings().get(RUNS), HOLD_SECONDS)), brief, contest, share);
      default -> rehearsal ? load(PartOf.of(new Work.Timed(1, brief.settings().get(LIMIT))), brief, contest, 1)
          : load(PartOf.sets(brief.settings().get(RUNS), REPS), brief, contest, share);
    });
    if (contest.isEmpty()) {
      return exposure.saying("The contest mass is not written down: the lifter picks.");
    }
    if (rehearsal) {
      return near ? exposure.marked(Exposure.Mark.LAST_HEAVY).saying("The last run at contest mass, in the order of the contest.")
          : exposure.marked(Exposure.Mark.REHEARSAL).saying("Rehearsal at contest mass, as on the day.");
    }
    return light ? exposure.saying(Count.of(left.days(), "day") + " to the contest: light and clean.") : exposure;
  }

  private static double share(boolean rehearsal, boolean light, boolean first) {
    if (rehearsal) {
      return 1;
    }
    if (light) {
      return LIGHT;
    }
    return first ? FIRST : SECOND;
  }

  private static PartOf carry(Brief brief, Optional<Mass> contest, boolean rehearsal, double share) {
    BigDecimal metres = BigDecimal.valueOf(brief.settings().get(METRES));
    Work.Carry run = new Work.Carry(rehearsal ? 1 : brief.settings().get(RUNS), metres, Work.Carry.DistanceUnit.M);
    return rehearsal ? load(PartOf.of(run), brief, contest, 1).with(new Option.In(brief.settings().get(LIMIT)))
        : load(PartOf.of(run), brief, contest, share).with(new Option.Rest(REST));
  }

  private static PartOf series(Brief brief, Optional<Mass> contest, boolean rehearsal, double share) {
    if (contest.isEmpty()) {
      return PartOf.sets(brief.settings().get(RUNS), 1);
    }
    List<Mass> masses = new ArrayList<>();
    for (double part : rehearsal || brief.lift().pattern() == Pattern.THROW ? new double[] {0.7, 0.85, 1} : new double[] {0.7, 1}) {
      Mass next = brief.near(contest.get().scaled(part * (rehearsal ? 1 : share)));
      if (masses.stream().noneMatch(there -> there.number().equals(next.number()))) {
        masses.add(next);
      }
    }
    PartOf series = PartOf.of(new Work.Series(masses));
    return rehearsal ? series.with(new Option.In(brief.settings().get(LIMIT))) : series;
  }

  private static PartOf load(PartOf work, Brief brief, Optional<Mass> contest, double share) {
    contest.ifPresent(mass -> work.mass(brief.near(mass.scaled(share))));
    return work;
  }
}
