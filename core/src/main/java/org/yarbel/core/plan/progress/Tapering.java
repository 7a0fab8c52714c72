package org.yarbel.core.plan.progress;

import java.util.List;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.PartOf;

/**
 * The last weeks before a contest, by the days that are left: the sets fall, the loads stay, the opener is lifted on the last
 * heavy day. Volume down by 41–60 % over about two weeks with the intensity kept: Bosquet et al. 2007, Med Sci Sports Exerc
 * 39(8), from memory. The steps of 30, 50 and 70 % and the last heavy days are common practice, no source.
 */
public final class Tapering implements Rule {
  /** What is left of the volume in the last seven days, the seven before, and those before them. */
  public static final List<Double> LEFT = List.of(0.3, 0.5, 0.7);

  /** The share of the max that is opened with: 90–93 % of what the third attempt is expected to be. */
  static final int OPENER = 91;

  private static final Parameter.Count SETS = Parameter.Count.of("sets", "sets of three a week before the taper", 4, 1, 12);
  private static final Parameter.Number OPENS_WITH = new Parameter.Number("opener", "opener, %", Integer.toString(OPENER), 85, 95);
  private static final Parameter.Number TRIPLES = new Parameter.Number("triples", "triples, %", "85", 70, 90);

  private static final int WEEK = 7;
  private static final double NEAR = 82.5;
  private static final double PRIMER = 80;
  private static final int REST_DAYS = 2;
  private static final int PRIMER_DAYS = 4;

  @Override
  public List<Parameter> parameters() {
    return List.of(SETS, OPENS_WITH, TRIPLES, Parameter.OfBasis.ONE);
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
    Countdown left = brief.countdown();
    if (left == null) {
      return brief.max().isEmpty() ? Rule.withoutNumbers(brief, ahead)
          : Exposure.none("A taper needs the date of a contest: it waits until there is one.");
    }
    if (left.days() <= 0) {
      return Exposure.none(left.days() == 0 ? "The day of the contest: the platform is the session." : "The contest is behind: rest.");
    }
    if (left.days() <= REST_DAYS) {
      return Exposure.none(Count.of(left.days(), "day") + " to the contest: rest.");
    }
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    Basis of = brief.settings().get(Parameter.OfBasis.ONE).filter(basis -> brief.numbers().of(basis) != null).orElse(null);
    LastHeavy window = LastHeavy.of(brief.lift());
    OptionalInt last = left.lastHeavy(window.nearest());
    int sets = sets(brief.settings().get(SETS), left.weeks());
    double triples = brief.settings().get(TRIPLES);
    if (last.isPresent() && left.days() == last.getAsInt()) {
      PartOf opener = PartOf.sets(1, 1).percent(brief.settings().get(OPENS_WITH), of);
      return (sets > 1 ? Exposure.of(brief, opener, PartOf.sets(sets - 1, 3).percent(triples, of)) : Exposure.of(brief, opener))
          .marked(Exposure.Mark.OPENER).saying(opener(left.days(), window));
    }
    if (left.days() < window.nearest()) {
      return light(brief, left.days(), sets, of);
    }
    return Exposure.of(brief, brief.ofWeek(number) > 0 ? PartOf.sets(Math.max(1, sets - 1), 3).percent(75, of)
        : PartOf.sets(sets, 3).percent(triples, of))
        .saying("Taper: " + Math.round(100 * (1 - left(left.weeks()))) + " % less volume, the loads stay.");
  }

  /** Whether a lift that comes once a week has its last heavy day now: a week later would be too late. */
  static boolean lastBefore(Countdown left, Lift lift) {
    int nearest = LastHeavy.of(lift).nearest();
    return left.lastHeavy(left.days() - WEEK + 1).orElse(0) == left.days() && left.days() - WEEK < nearest && left.days() >= nearest;
  }

  static String opener(int days, LastHeavy window) {
    String said = "The last heavy day, " + Count.of(days, "day") + " out: the opener, good for three on a bad day.";
    return days <= window.furthest() ? said : said + " Usual is " + window.text() + " days out: move it there if the week allows.";
  }

  /**
   * How many weeks a taper takes: one for new lifters, about two for most, a third for those who are advanced. Common
   * practice, no source.
   */
  public static int weeks(@Nullable Level level) {
    if (level == Level.BEGINNER) {
      return 1;
    }
    return level == Level.ADVANCED ? 3 : 2;
  }

  /** What is done of a lift so near a contest that it is heavy no more. */
  static Exposure light(Brief brief, int days, int sets, @Nullable Basis of) {
    boolean primer = days <= PRIMER_DAYS;
    return Exposure.of(brief, primer ? PartOf.sets(2, 1).percent(PRIMER, of) : PartOf.sets(Math.max(1, sets), 2).percent(NEAR, of))
        .saying(Count.of(days, "day") + " to the contest: light and fast, nothing heavy any more.");
  }

  /** What is left of the volume so many whole weeks before the contest; all of it before the taper. */
  public static double left(int weeks) {
    if (weeks < 0) {
      return 0;
    }
    return weeks < LEFT.size() ? LEFT.get(weeks) : 1;
  }

  private static int sets(int before, int weeks) {
    return (int) Math.max(1, Math.round(before * left(weeks)));
  }
}
