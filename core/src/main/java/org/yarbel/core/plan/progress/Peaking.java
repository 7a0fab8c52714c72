package org.yarbel.core.plan.progress;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.WorkLine;

/** A single over 90 % every week with triples behind it, and a rehearsal under the rules of the contest. */
final class Peaking implements Rule {
  private static final Parameter.Count WEEKS = Parameter.Count.of("weeks", "weeks", 3, 1, 8);
  private static final Parameter.Number FROM = new Parameter.Number("from", "first single, %", "90", 80, 100);
  private static final Parameter.Number TO = new Parameter.Number("to", "last single, %", "95", 80, 102);
  private static final Parameter.Count SETS = Parameter.Count.of("sets", "sets behind it", 4, 0, 8);
  private static final Parameter.Count REPS = Parameter.Count.of("reps", "reps of those", 3, 1, 5);
  private static final Parameter.Number DROP = new Parameter.Number("drop", "those lighter by, points", "10", 2.5, 25);
  private static final Parameter.Count REHEARSAL = Parameter.Count.of("rehearsal", "rehearsal in week …, 0 for none", 2, 0, 8);

  @Override
  public List<Parameter> parameters() {
    return List.of(WEEKS, FROM, TO, SETS, REPS, DROP, REHEARSAL, Parameter.OfBasis.ONE);
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
    Basis of = settings.get(Parameter.OfBasis.ONE).filter(basis -> brief.numbers().of(basis) != null).orElse(null);
    if (brief.ofWeek(number) > 0) {
      return Exposure.of(brief, PartOf.sets(4, 3).percent(75, of));
    }
    int weeks = settings.get(WEEKS);
    int week = Math.min(brief.week(number), weeks - 1);
    double single = Percents.between(settings.get(FROM), settings.get(TO), week, weeks);
    int sets = settings.get(SETS);
    Countdown left = brief.countdown();
    if (left != null && Tapering.lastBefore(left, brief.lift())) {
      return Exposure.of(brief, behind(settings, Tapering.OPENER, single, of)).marked(Exposure.Mark.OPENER)
          .saying(Tapering.opener(left.days(), LastHeavy.of(brief.lift())));
    }
    if (left != null && left.days() > 0 && left.days() < LastHeavy.of(brief.lift()).nearest()) {
      return Tapering.light(brief, left.days(), sets, of);
    }
    Exposure exposure = Exposure.of(brief, behind(settings, single, single, of));
    // a block shorter than asked rehearses in its last week
    int rehearsal = Math.min(settings.get(REHEARSAL), weeks);
    return rehearsal != brief.week(number) + 1 ? exposure : exposure.marked(Exposure.Mark.REHEARSAL)
        .saying("Rehearsal: the single as on the platform, with the contest's equipment and commands.");
  }

  /** A single with sets behind it that are lighter than the single of the week. */
  private static WorkLine behind(Settings settings, double first, double single, @Nullable Basis of) {
    PartOf top = PartOf.sets(1, 1).percent(first, of);
    int sets = settings.get(SETS);
    return sets == 0 ? top.line() : PartOf.line(top, PartOf.sets(sets, settings.get(REPS)).percent(single - settings.get(DROP), of));
  }
}
