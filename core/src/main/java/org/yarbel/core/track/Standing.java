package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Refused;

/**
 * Where the tracker stands at the end of a logged day, to the last digit: it goes on from here without the sets before, and answers
 * for any later day. Kept as 92 numbers with the level beside; the first says of which version they are.
 */
public final class Standing {
  /** What the numbers mean; where a standing of another version is kept, the log is run anew. */
  public static final int VERSION = 1;

  /** How many numbers a standing is kept as. */
  public static final int NUMBERS = Header.NUMBERS + Bank.numbers();

  private final Level level;
  private final double[] numbers;
  private final Header header;

  private Standing(Level level, Header header, double[] numbers) {
    this.level = level;
    this.header = header;
    this.numbers = numbers;
  }

  /**
   * All of a standing but its filters.
   *
   * @param lastTrained the last day with a made set; null without one
   * @param idle days of layoff on that day
   * @param lost what the layoff took of ln(max) and has not given back
   * @param flags how many flagged days run on one side
   * @param side of what was thought, −1 or 1; 0 for none
   */
  record Header(LocalDate day, @Nullable LocalDate lastTrained, double idle, double lost, int flags, double side) {
    private static final int NUMBERS = 8;

    private static Header read(double[] from) {
      LocalDate trained = from[2] == 0 ? null : LocalDate.ofEpochDay((long) from[3]);
      return new Header(LocalDate.ofEpochDay((long) from[1]), trained, from[4], from[5], (int) from[6], from[7]);
    }

    private double[] write(Bank bank) {
      double[] all = Arrays.copyOf(new double[] {
        VERSION, day.toEpochDay(), lastTrained == null ? 0 : 1, lastTrained == null ? 0 : lastTrained.toEpochDay(), idle, lost, flags, side
      }, Standing.NUMBERS);
      bank.write(all, NUMBERS);
      return all;
    }
  }

  static Standing of(Level level, Header header, Bank bank) {
    return new Standing(level, header, header.write(bank));
  }

  /** The standing that was kept as these numbers; empty where they are of another version. */
  public static Optional<Standing> of(Level level, double[] numbers) {
    if (numbers.length != NUMBERS || numbers[0] != VERSION) {
      return Optional.empty();
    }
    return Optional.of(new Standing(level, Header.read(numbers), numbers.clone()));
  }

  /** What it is kept as. */
  public double[] numbers() {
    return numbers.clone();
  }

  /** The level it was tracked at. */
  public Level level() {
    return level;
  }

  /** The last day it knows: of the log, or of the test. */
  public LocalDate day() {
    return header.day();
  }

  /** The last day with a made set; null without one. */
  public @Nullable LocalDate lastTrained() {
    return header.lastTrained();
  }

  Header header() {
    return header;
  }

  /** A copy of the filters, to go on with. */
  Bank bank() {
    return Bank.read(level, numbers, Header.NUMBERS);
  }

  /**
   * What it says on a day, before a set of it.
   *
   * @throws Refused when the day is before its own
   */
  public Outlook on(LocalDate date) {
    if (date.isBefore(day())) {
      throw new Refused("The day asked for, " + date + ", is before the last set, " + day());
    }
    Course course = Course.from(this);
    course.moveTo(date);
    return new Outlook(date, course.bank(), 0);
  }

  /**
   * What it says on a day to come where the lift goes on being trained once a week from today on: what is planned is judged by
   * that, since a plan is no layoff.
   */
  public Outlook ahead(LocalDate today, LocalDate date) {
    Course course = Course.from(this);
    course.moveTo(today);
    for (LocalDate day = today; day.isBefore(date); day = day.plusWeeks(1)) {
      course.trainOn(day);
      course.moveTo(day.plusWeeks(1).isBefore(date) ? day.plusWeeks(1) : date);
    }
    return new Outlook(date, course.bank(), 0);
  }

  /** Whether the lift has lain for so long by a day that the estimate falls: the first week back is capped at RPE 7. */
  public boolean layoffOn(LocalDate date) {
    LocalDate trained = lastTrained();
    return trained != null && date.isAfter(trained.plusDays(Constants.LAYOFF_AFTER_DAYS));
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Standing that && level == that.level && Arrays.equals(numbers, that.numbers);
  }

  @Override
  public int hashCode() {
    return 31 * level.hashCode() + Arrays.hashCode(numbers);
  }

  @Override
  public String toString() {
    return level.word() + " on " + day();
  }
}
