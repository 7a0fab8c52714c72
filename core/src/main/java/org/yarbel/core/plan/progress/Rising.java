package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.basis;
import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.lifts;
import static org.yarbel.core.plan.progress.Parameter.number;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.SlotKind;

/** The same sets at shares that rise evenly over the weeks, then again from the first; further days of a week are lighter. */
final class Rising implements Rule {
  private static final double LEAST = 40;
  /** Shares that rise from here on are strength, not volume. Our own default, as the long plan has it. */
  private static final double STRENGTH = 75;

  @Override
  public List<Parameter> parameters() {
    return List.of(count("weeks", "weeks", 4, 1, 16), count("sets", "sets", 4, 1, 12), count("reps", "reps", 8, 1, 15),
        number("from", "first week, %", "65", LEAST, 100), number("to", "last week, %", "75", LEAST, 105),
        number("lighter", "further days of a week lighter by, points", "7.5", 0, 30), lifts("beside", "variation beside"), basis());
  }

  @Override
  public boolean peaking(Settings settings, int week) {
    return settings.number("from") >= STRENGTH;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    Settings settings = brief.settings();
    Basis basis = settings.basis().orElse(null);
    if (basis != null && brief.numbers().of(basis) == null) {
      return Rule.withoutNumbers(brief, ahead).saying("There is no " + basis.key() + " max of this lift: it is planned by RPE until there is one.");
    }
    int weeks = settings.count("weeks");
    double percent = Percents.between(settings.number("from"), settings.number("to"), brief.week(number) % weeks, weeks);
    boolean first = brief.ofWeek(number) == 0;
    int sets = first ? settings.count("sets") : Math.max(1, settings.count("sets") - 1);
    double share = first ? percent : Math.max(LEAST, percent - settings.number("lighter"));
    List<Exposure.Line> lines = new ArrayList<>();
    lines.add(Exposure.main(brief, sets + "x" + settings.count("reps") + " " + Percents.text(share) + "%" + (basis == null ? "" : " " + basis.word())));
    if (first) {
      settings.lifts("beside", brief.lifts()).forEach(lift -> lines.add(new Exposure.Line(SlotKind.SECOND, lift, "3x8 @7", null)));
    }
    return new Exposure(lines, false, false, null, List.of());
  }
}
