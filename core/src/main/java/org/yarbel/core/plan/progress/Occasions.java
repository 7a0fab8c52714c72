package org.yarbel.core.plan.progress;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * The days on which a method is lifted. Easy weeks count as no exposures: the next week goes on where the one before ended,
 * and what is done in them is that next exposure made easy.
 */
public final class Occasions {
  private Occasions() {}

  /** Which of its days a lift is lifted on, so that two can go by turns. */
  public enum Turn {
    EVERY,
    FIRST,
    SECOND;

    boolean comes(int occurrence) {
      return this == EVERY || occurrence % 2 == (this == FIRST ? 0 : 1);
    }
  }

  /**
   * One day of a method.
   *
   * @param number of the exposure that is written, from 0
   * @param key the number it is known by: the same, or under 0 in an easy week
   */
  public record Occasion(LocalDate day, int number, int key) {
    /** Whether it is of an easy week. */
    public boolean easy() {
      return key < 0;
    }
  }

  /**
   * The days from a Monday on.
   *
   * @param runs whether the method goes on a day
   * @param easy whether a week is an easy one, by its Monday
   * @param until the first day that is not asked for
   */
  public static List<Occasion> of(LocalDate first, Set<DayOfWeek> days, Turn turn, Predicate<LocalDate> runs,
      Predicate<LocalDate> easy, LocalDate until) {
    List<Occasion> all = new ArrayList<>();
    int number = 0;
    int occurrence = 0;
    int easyDay = 0;
    for (LocalDate monday = first; monday.isBefore(until); monday = monday.plusWeeks(1)) {
      boolean rests = easy.test(monday);
      int inWeek = number;
      for (DayOfWeek of : DayOfWeek.values()) {
        LocalDate day = monday.plusDays(of.getValue() - 1L);
        if (!days.contains(of) || !turn.comes(occurrence++) || !runs.test(day)) {
          continue;
        }
        int at = rests ? inWeek++ : number++;
        all.add(new Occasion(day, at, rests ? -++easyDay : at));
      }
    }
    return all;
  }

  /** Exposures a week of so many days, at least one. */
  public static int perWeek(int days, Turn turn) {
    return Math.max(1, turn == Turn.EVERY ? days : days / 2);
  }
}
