package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.basis;
import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.number;

import java.util.List;
import org.yarbel.core.notation.Basis;

/** A single over 90 % every week with triples behind it, and a rehearsal under the rules of the contest. */
final class Peaking implements Rule {
  private static final String PRACTICE = "4x3 75%";

  @Override
  public List<Parameter> parameters() {
    return List.of(count("weeks", "weeks", 3, 1, 8), number("from", "first single, %", "90", 80, 100), number("to", "last single, %", "95", 80, 102),
        count("sets", "sets behind it", 4, 0, 8), count("reps", "reps of those", 3, 1, 5),
        number("drop", "those lighter by, points", "10", 2.5, 25),
        count("rehearsal", "rehearsal in week …, 0 for none", 2, 0, 8), basis());
  }

  @Override
  public boolean peaking(Settings settings, int week) {
    return true;
  }

  @Override
  public boolean countsDown() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    Settings settings = brief.settings();
    String of = settings.basis().filter(basis -> brief.numbers().of(basis) != null).map(Basis::word).map(" "::concat).orElse("");
    if (brief.ofWeek(number) > 0) {
      return Exposure.of(brief, PRACTICE + of);
    }
    int weeks = settings.count("weeks");
    int week = Math.min(brief.week(number), weeks - 1);
    double single = Percents.between(settings.number("from"), settings.number("to"), week, weeks);
    int sets = settings.count("sets");
    Countdown left = brief.countdown();
    if (left != null && Tapering.lastBefore(left, brief.lift())) {
      return Exposure.of(brief, "1x1 " + Tapering.OPENER + "%" + of + (sets == 0 ? "" : "; " + sets + "x" + settings.count("reps") + " "
          + Percents.text(single - settings.number("drop")) + "%" + of)).marked(Exposure.Mark.OPENER).saying(Tapering.opener(left.days(), LastHeavy.of(brief.lift())));
    }
    if (left != null && left.days() > 0 && left.days() < LastHeavy.of(brief.lift()).nearest()) {
      return Tapering.light(brief, left.days(), sets, of);
    }
    Exposure exposure = Exposure.of(brief, "1x1 " + Percents.text(single) + "%" + of
        + (sets == 0 ? "" : "; " + sets + "x" + settings.count("reps") + " " + Percents.text(single - settings.number("drop")) + "%" + of));
    // a block shorter than asked rehearses in its last week
    int rehearsal = Math.min(settings.count("rehearsal"), weeks);
    return rehearsal != brief.week(number) + 1 ? exposure : exposure.marked(Exposure.Mark.REHEARSAL)
        .saying("Rehearsal: the single as on the platform, with the contest's equipment and commands.");
  }
}
