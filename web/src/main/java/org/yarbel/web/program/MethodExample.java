package org.yarbel.web.program;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Reading;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.plan.progress.Countdown;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.club.Places;
import org.yarbel.web.plan.LineLoads;

/**
 * What a method writes, on an example: its first weeks once a week, as if every set were made.
 *
 * @param whose for whom: {@code Squat, estimated max 200 kg}
 * @param contest whether the weeks lead to a contest, at the end of the last
 */
public record MethodExample(String whose, boolean contest, List<ExampleWeek> weeks) {
  private static final int WEEKS = 4;
  private static final int DAYS_BEFORE = 3;
  private static final Mass MAX = Mass.of("200", MassUnit.KG);

  /**
   * A week.
   *
   * @param said what the method says of it; empty for nothing
   */
  public record ExampleWeek(int number, List<ExampleLine> lines, String said) {}

  /**
   * A line of it.
   *
   * @param reading the work in words
   */
  public record ExampleLine(String lift, String work, String loads, String reading) {}

  /** For nobody in particular: a lifter with a squat of 200 kg in an ordinary gym. */
  static MethodExample of(Method method, Catalogue lifts, Places places) {
    Lift lift = lifts.ofKey(method == Method.EVENT_WEEKS ? "log-press" : "squat").orElseThrow();
    MaxNumbers numbers = new MaxNumbers(null, MAX, MaxNumbers.trainingFrom(MAX), MAX.scaled(1.05));
    LifterContext context = new LifterContext(MassUnit.KG, Mass.of("90", MassUnit.KG),
        Map.of(lift.key(), new LifterContext.Known(numbers, Basis.ESTIMATED, null, EffortChart.HOUSE, Level.INTERMEDIATE)),
        RampStyle.SHRINKING, lifts, LifterContext.Loads.of(PlaceKit.of(Kit.standard(MassUnit.KG)), lifts, MassUnit.KG, places::loadables));
    return of(method, lift, context, Map.of());
  }

  /**
   * For a lifter by their own numbers.
   *
   * @param typed what is set of it; what cannot be, or is left out, is as it comes
   */
  static MethodExample of(Method method, Lift lift, LifterContext context, Map<String, String> typed) {
    Brief brief = Exposures.brief(lift.key(), Settings.check(method, typed, context.lifts()).settings(), 1, context);
    List<Integer> left = new ArrayList<>();
    for (int week = WEEKS; week > 0; week--) {
      left.add(7 * (week - 1) + DAYS_BEFORE);
    }
    boolean contest = method.rule().countsDown();
    List<ExampleWeek> weeks = new ArrayList<>();
    String before = "";
    for (int number = 0; number < WEEKS; number++) {
      Countdown countdown = contest ? new Countdown(left.get(number), left) : null;
      Exposure exposure = method.rule().next(brief.counting(countdown), List.of(), number, number);
      String said = String.join(" ", exposure.remarks());
      weeks.add(new ExampleWeek(number + 1, exposure.lines().stream()
          .map(line -> line(exposure.planned(line, context.lifts()), context)).toList(), said.equals(before) ? "" : said));
      before = said;
    }
    Mass max = context.numbers(lift).best();
    return new MethodExample(lift.name() + (max == null ? ", no max known" : ", max " + max.amountIn(context.unit(), 1)
        .stripTrailingZeros().toPlainString() + " " + context.unit().symbol()), contest, weeks);
  }

  private static ExampleLine line(PlannedLine line, LifterContext context) {
    ResolvedLine resolved = new SessionResolver(context).alone(line).line();
    return new ExampleLine(line.lift().name(), line.work(), resolved == null ? "" : String.join(" · ", LineLoads.of(resolved))
        + " " + context.unit().symbol(), Reading.text(WorkLine.parse(line.work()).line()));
  }
}
