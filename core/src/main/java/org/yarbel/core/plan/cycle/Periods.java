package org.yarbel.core.plan.cycle;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.progress.Tapering;

/** How the weeks of a plan are divided: the periods in order, and a sentence about each part of them. */
record Periods(List<Period> list, List<String> reasons) {
  private static final int OPEN_VOLUME = 5;
  private static final int OPEN_STRENGTH = 5;
  private static final int OPEN_PRACTICE = 8;
  private static final int WAVE = 11;
  private static final int SHORT_WAY = 6;
  private static final int LONG_WAY = 12;
  /** With fewer weeks before the peak there is no time for volume. */
  private static final int VOLUME_FROM = 5;

  /** So many weeks of a purpose. */
  record Period(Purpose purpose, int weeks) {}

  /** Without a contest. */
  static Periods open(@Nullable Level level) {
    Period test = new Period(Purpose.TEST, 1);
    if (level == Level.BEGINNER) {
      return new Periods(List.of(new Period(Purpose.PRACTICE, OPEN_PRACTICE), test),
          List.of("No contest is written down, and at this level loads grow by the session: eight weeks of practice, then a "
              + "mock contest."));
    }
    return new Periods(List.of(new Period(Purpose.VOLUME, OPEN_VOLUME), new Period(Purpose.STRENGTH, OPEN_STRENGTH), test),
        List.of("No contest is written down: volume, then strength, five weeks each, then a mock contest that shows what they came to."));
  }

  /** To a contest in so many weeks, its own included. */
  static Periods to(int weeks, @Nullable Level level) {
    boolean beginner = level == Level.BEGINNER;
    int taper = Math.min(Tapering.weeks(level), mostTaper(weeks));
    int peak = Math.min(Math.max(0, weeks - taper), beginner ? beginnersPeak(weeks) : peak(weeks));
    int rest = weeks - taper - peak;
    List<String> reasons = new ArrayList<>();
    reasons.add(taperWords(weeks, taper));
    if (peak > 0) {
      reasons.add("Before it " + Count.of(peak, "week") + " of singles over 90 %, so that they are practised when they count.");
    }
    List<Period> before = beginner ? practice(rest) : waves(rest, level);
    reasons.add(before(before, rest, beginner));
    List<Period> periods = new ArrayList<>(before);
    if (peak > 0) {
      periods.add(new Period(Purpose.PEAK, peak));
    }
    periods.add(new Period(Purpose.TAPER, taper));
    periods.add(new Period(Purpose.OFF, 1));
    return new Periods(periods, reasons);
  }

  /** On a short way there is no time for more. */
  private static int mostTaper(int weeks) {
    if (weeks < SHORT_WAY) {
      return 1;
    }
    return weeks < LONG_WAY ? 2 : 3;
  }

  private static int beginnersPeak(int weeks) {
    return weeks >= SHORT_WAY ? 1 : 0;
  }

  private static int peak(int weeks) {
    if (weeks >= 10) {
      return 3;
    }
    if (weeks >= 7) {
      return 2;
    }
    return weeks >= 3 ? 1 : 0;
  }

  private static String taperWords(int weeks, int taper) {
    String all = Count.of(weeks, "week") + " to the contest, its own week included. ";
    String pays = " the taper: less volume with the loads kept pays over about two weeks (Bosquet et al. 2007)";
    return all + switch (taper) {
      case 1 -> "The last one is" + pays + "; new lifters and short ways need less.";
      case 3 -> "The last 3 are" + pays + ", a third for an advanced lifter.";
      default -> "The last " + taper + " are" + pays + ".";
    };
  }

  private static String before(List<Period> periods, int rest, boolean beginner) {
    if (rest == 0) {
      return "There is no time to get stronger: openers, and rest.";
    }
    String weeks = "The " + Count.of(rest, "week") + " before go to ";
    if (beginner) {
      return weeks + "practice: at this level loads grow by the session.";
    }
    if (rest < VOLUME_FROM) {
      return weeks + "strength: there is no time for volume that pays on the day.";
    }
    return weeks + "volume first and strength second" + (periods.size() > 2 ? ", twice over" : "")
        + ": what is furthest from the platform is least like it.";
  }

  private static List<Period> practice(int rest) {
    List<Period> periods = new ArrayList<>();
    for (int left = rest; left > 0; left -= Purpose.PRACTICE.most()) {
      periods.add(new Period(Purpose.PRACTICE, Math.min(left, Purpose.PRACTICE.most())));
    }
    return periods;
  }

  /** Volume and strength, over again where there are many weeks; those who are advanced have the longer half in strength. */
  private static List<Period> waves(int rest, @Nullable Level level) {
    if (rest < VOLUME_FROM) {
      return rest == 0 ? List.of() : List.of(new Period(Purpose.STRENGTH, rest));
    }
    List<Period> periods = new ArrayList<>();
    int waves = (rest + WAVE - 1) / WAVE;
    int left = rest;
    for (int wave = 0; wave < waves; wave++) {
      int ofWave = left / (waves - wave);
      left -= ofWave;
      int volume = level == Level.ADVANCED ? ofWave / 2 : (ofWave + 1) / 2;
      if (volume >= 2) {
        periods.add(new Period(Purpose.VOLUME, volume));
        periods.add(new Period(Purpose.STRENGTH, ofWave - volume));
      } else {
        periods.add(new Period(Purpose.STRENGTH, ofWave));
      }
    }
    return periods;
  }
}
