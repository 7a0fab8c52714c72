package org.yarbel.core.plan.progress;

import java.util.List;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Work;

/** The lifts of a contest on one day, as many attempts as it takes; a contest lifted as a training day goes by a cap. */
final class MockContest implements Rule {
  private static final Parameter.Number TO = new Parameter.Number("to", "up to RPE", "10", 7, 10);

  private static final double ALL_OUT = 10;

  @Override
  public List<Parameter> parameters() {
    return List.of(TO);
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (number > 0) {
      return Exposure.none("The mock contest was the session before.");
    }
    double rpe = Percents.toHalf(brief.settings().get(TO));
    return rpe >= ALL_OUT
        ? Exposure.of(brief, PartOf.of(new Work.Max(1))).marked(Exposure.Mark.TEST)
            .saying("Mock contest: as many attempts as it takes, under the contest's rules. Spotters, and safeties set.")
        : Exposure.of(brief, PartOf.of(new Work.Max(1)).rpe(rpe)).marked(Exposure.Mark.CONTEST)
            .saying("A contest as a training day: attempts up to RPE " + Percents.text(rpe) + ", no taper for it.");
  }
}
