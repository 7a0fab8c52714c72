package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.yarbel.core.mass.Count;

/**
 * Which of a lifter's contests are peaked for and which are lifted as a training day on the way. Between two peaks there have
 * to be weeks to build again: fewer than six, and only one of them is a peak, the one the coach marked, else the later. Our
 * own figure, from common practice.
 */
public final class Meets {
  /** The fewest weeks from one peak to the next. */
  public static final int BETWEEN_PEAKS = 6;

  private Meets() {}

  /**
   * A contest of a lifter.
   *
   * @param marked whether the coach says that it is the one that counts
   */
  public record Meet(long id, String name, LocalDate day, boolean marked) {}

  /**
   * What a contest is to the plan.
   *
   * @param peak whether it is peaked for; else it is a training day
   * @param why a sentence; empty where nothing speaks for anything else
   */
  public record Role(Meet meet, boolean peak, String why) {}

  /** The roles of contests, by their days. */
  public static List<Role> roles(List<Meet> meets) {
    List<Meet> all = meets.stream().sorted(Comparator.comparing(Meet::day)).toList();
    List<Role> roles = new ArrayList<>();
    for (Meet meet : all) {
      Meet rival = all.stream().filter(other -> other != meet && Math.abs(weeks(meet, other)) < BETWEEN_PEAKS && beats(other, meet))
          .min(Comparator.comparingLong(other -> Math.abs(weeks(meet, other)))).orElse(null);
      Meet beaten = all.stream().filter(other -> other != meet && Math.abs(weeks(meet, other)) < BETWEEN_PEAKS
          && beats(meet, other)).findFirst().orElse(null);
      if (rival != null) {
        roles.add(new Role(meet, false, meet.name() + " is a training day: " + apart(meet, rival) + " from " + rival.name() + ", which is "
            + (rival.marked() && !meet.marked() ? "the one that counts" : "the later one") + ". Fewer than " + BETWEEN_PEAKS
            + " weeks do not build a second peak: attempts up to RPE " + Macrocycle.TRAINING_DAY_RPE + ", no taper for it."));
      } else {
        roles.add(new Role(meet, true, beaten == null ? "" : meet.name() + " is the peak: " + (meet.marked() && !beaten.marked()
            ? "it is marked as the one that counts" : "it is the later one, and what is built until then is not spent before") + "."));
      }
    }
    return roles;
  }

  private static boolean beats(Meet one, Meet other) {
    return one.marked() != other.marked() ? one.marked() : one.day().isAfter(other.day()) || one.day().equals(other.day())
        && one.id() > other.id();
  }

  private static long weeks(Meet one, Meet other) {
    return ChronoUnit.WEEKS.between(one.day(), other.day());
  }

  private static String apart(Meet one, Meet other) {
    long days = Math.abs(ChronoUnit.DAYS.between(one.day(), other.day()));
    return days < 7 ? Count.of(days, "day") : Count.of((int) (days / 7), "week");
  }
}
