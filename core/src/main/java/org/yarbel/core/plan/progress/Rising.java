package org.yarbel.core.plan.progress;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.plan.SlotKind;

/** The same sets at shares that rise evenly over the weeks, then again from the first; further days of a week are lighter. */
final class Rising implements Rule {
  private static final double LEAST = 40;
  /** Shares that rise from here on are strength, not volume. Our own default, as the long plan has it. */
  private static final double STRENGTH = 75;
  private static final Parameter.Count WEEKS = Parameter.Count.of("weeks", "weeks", 4, 1, 16);
  private static final Parameter.Count SETS = Parameter.Count.of("sets", "sets", 4, 1, 12);
  private static final Parameter.Count REPS = Parameter.Count.of("reps", "reps", 8, 1, 15);
  private static final Parameter.Number FROM = new Parameter.Number("from", "first week, %", "65", LEAST, 100);
  private static final Parameter.Number TO = new Parameter.Number("to", "last week, %", "75", LEAST, 105);
  private static final Parameter.Number LIGHTER = new Parameter.Number("lighter", "further days of a week lighter by, points",
      "7.5", 0, 30);
  private static final Parameter.Lifts BESIDE = new Parameter.Lifts("beside", "variation beside");

  @Override
  public List<Parameter> parameters() {
    return List.of(WEEKS, SETS, REPS, FROM, TO, LIGHTER, BESIDE, Parameter.OfBasis.ONE);
  }

  @Override
  public boolean peaking(Settings settings, int week) {
    return settings.get(FROM) >= STRENGTH;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    Settings settings = brief.settings();
    Basis basis = settings.get(Parameter.OfBasis.ONE).orElse(null);
    if (basis != null && brief.numbers().of(basis) == null) {
      return Rule.withoutNumbers(brief, ahead)
          .saying("There is no " + basis.key() + " max of this lift: it is planned by RPE until there is one.");
    }
    int weeks = settings.get(WEEKS);
    double percent = Percents.between(settings.get(FROM), settings.get(TO), brief.week(number) % weeks, weeks);
    boolean first = brief.ofWeek(number) == 0;
    int sets = first ? settings.get(SETS) : Math.max(1, settings.get(SETS) - 1);
    double share = first ? percent : Math.max(LEAST, percent - settings.get(LIGHTER));
    List<Exposure.Line> lines = new ArrayList<>();
    lines.add(Exposure.main(brief, PartOf.sets(sets, settings.get(REPS)).percent(share, basis)));
    if (first) {
      settings.get(BESIDE, brief.lifts()).forEach(lift -> lines.add(Exposure.Line.of(SlotKind.SECOND, lift, PartOf.sets(3, 8).rpe(7))));
    }
    return new Exposure(lines, false, false, null, List.of());
  }
}
