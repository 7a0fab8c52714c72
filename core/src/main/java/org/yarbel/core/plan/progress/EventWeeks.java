package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.mass;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.yarbel.core.lift.Pattern;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;

/** A strongman event below contest mass, and every second or third week a rehearsal with it. */
final class EventWeeks implements Rule {
  private static final double FIRST = 0.75;
  private static final double SECOND = 0.85;
  private static final double LIGHT = 0.6;
  private static final int LAST_RUN = 10;
  private static final int TAPER_DAYS = 7;
  private static final int REST_DAYS = 3;

  @Override
  public List<Parameter> parameters() {
    return List.of(mass("mass", "contest mass"), count("every", "a rehearsal every … weeks", 3, 2, 3), count("runs", "runs or sets between", 3, 1, 8),
        count("metres", "metres", 20, 5, 100), count("limit", "time limit, s", 60, 10, 180));
  }

  @Override
  public boolean countsDown() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    Optional<Mass> contest = brief.settings().mass("mass", brief.unit());
    Countdown left = brief.countdown();
    if (left != null && left.days() <= REST_DAYS) {
      return Exposure.none(left.days() <= 0 ? "The day of the contest: the platform is the session." : Count.of(left.days(), "day") + " to the contest: rest.");
    }
    int every = brief.settings().count("every");
    int week = brief.week(number) % every;
    boolean near = left != null && left.days() < LAST_RUN + TAPER_DAYS;
    OptionalInt last = left == null ? OptionalInt.empty() : left.lastHeavy(LAST_RUN);
    boolean rehearsal = near ? last.isPresent() && last.getAsInt() == left.days() : week == every - 1 && brief.ofWeek(number) == 0;
    double share = rehearsal ? 1 : near && left.days() < LAST_RUN ? LIGHT : week == 0 && every > 2 ? FIRST : SECOND;
    Exposure exposure = Exposure.of(brief, switch (brief.lift().pattern()) {
      case CARRY, DRAG -> carry(brief, contest, rehearsal, share);
      case LOADING, THROW -> series(brief, contest, rehearsal, share);
      case HOLD -> rehearsal ? "hold 1x" + brief.settings().count("limit") + "s" + load(brief, contest, 1) : "hold " + brief.settings()
          .count("runs") + "x20s" + load(brief, contest, share);
      default -> rehearsal ? "timed 1x" + brief.settings().count("limit") + "s" + load(brief, contest, 1) : brief.settings()
          .count("runs") + "x5" + load(brief, contest, share);
    });
    return contest.isEmpty() ? exposure.saying("The contest mass is not written down: the lifter picks.")
        : rehearsal ? exposure.marked(near ? Exposure.Mark.LAST_HEAVY : Exposure.Mark.REHEARSAL)
            .saying(near ? "The last run at contest mass, in the order of the contest." : "Rehearsal at contest mass, as on the day.")
        : near && left.days() < LAST_RUN ? exposure.saying(Count.of(left.days(), "day") + " to the contest: light and clean.") : exposure;
  }

  private static String carry(Brief brief, Optional<Mass> contest, boolean rehearsal, double share) {
    String metres = brief.settings().count("metres") + "m";
    return rehearsal ? "carry 1x" + metres + load(brief, contest, 1) + " in " + brief.settings().count("limit") + "s"
        : "carry " + brief.settings().count("runs") + "x" + metres + load(brief, contest, share) + " rest 3:00";
  }

  private static String series(Brief brief, Optional<Mass> contest, boolean rehearsal, double share) {
    if (contest.isEmpty()) {
      return brief.settings().count("runs") + "x1";
    }
    List<String> masses = new ArrayList<>();
    for (double part : rehearsal || brief.lift().pattern() == Pattern.THROW ? new double[] {0.7, 0.85, 1} : new double[] {0.7, share}) {
      String next = brief.near(contest.get().scaled(part * (rehearsal ? 1 : share))).number();
      if (!masses.contains(next)) {
        masses.add(next);
      }
    }
    return "series " + String.join("/", masses) + brief.unit() + (rehearsal ? " in " + brief.settings().count("limit") + "s" : "");
  }

  private static String load(Brief brief, Optional<Mass> contest, double share) {
    return contest.map(mass -> " " + Brief.written(brief.near(mass.scaled(share)))).orElse("");
  }
}
