package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;

/** The filters on their way through a log, with what they need to know of the days: when it was trained, what a layoff took, flags. */
final class Course {
  private final Level level;
  private @Nullable Bank bank;
  private @Nullable LocalDate day;
  private @Nullable LocalDate lastTrained;
  private double idle;
  private double lost;
  private int flags;
  private double side;
  private int setsToday;

  Course(Level level) {
    this.level = level;
  }

  static Course from(Standing standing) {
    Course course = new Course(standing.level());
    Standing.Header header = standing.header();
    course.bank = standing.bank();
    course.day = header.day();
    course.lastTrained = header.lastTrained();
    course.idle = header.idle();
    course.lost = header.lost();
    course.flags = header.flags();
    course.side = header.side();
    return course;
  }

  boolean begun() {
    return bank != null;
  }

  /** How many work sets of the day it stands at were taken in. */
  int setsToday() {
    return setsToday;
  }

  Bank bank() {
    return Objects.requireNonNull(bank);
  }

  /** Where it stands; null before it has begun. */
  @Nullable Standing standing() {
    return bank == null || day == null ? null
        : Standing.of(level, new Standing.Header(day, lastTrained, idle, lost, flags, side), bank);
  }

  void moveTo(LocalDate to) {
    LocalDate from = Objects.requireNonNull(day);
    if (!to.isAfter(from)) {
      return;
    }
    Passing passing = Passing.between(from, to, lastTrained, idle, lost);
    bank().each(filter -> filter.move(passing));
    idle = passing.idle();
    lost += passing.lost() - passing.back();
    day = to;
    setsToday = 0;
  }

  /** Counts a day as trained of which nothing is known. */
  void trainOn(LocalDate date) {
    lastTrained = date;
    idle = 0;
  }

  /** Takes a number in that was tested on a day; the first one begins the course. */
  void test(TestedMax tested) {
    double lnLoad = WorkSet.lnKilograms(tested.load().nanograms());
    if (bank == null) {
      bank = Bank.beginning(level, lnLoad, Constants.UNTESTED_SD);
      day = tested.date();
    }
    moveTo(tested.date());
    bank().each(filter -> filter.test(lnLoad));
  }

  /** Takes a day of the log in; before the first set that was made nothing begins. */
  void take(LoggedDay logged) {
    List<WorkSet> sets = logged.work();
    if (bank == null) {
      if (sets.isEmpty()) {
        return;
      }
      bank = Bank.beginning(level, sets.get(0).firstLnMax(), Constants.FIRST_SET_SD);
      day = logged.date();
    }
    moveTo(logged.date());
    double morning = bank().max().mean();
    if (logged.flagged() && flags < Constants.FLAGS_DISCOUNTED) {
      bank().each(Filter::flag);
    }
    for (setsToday = 0; setsToday < sets.size(); setsToday++) {
      WorkSet set = sets.get(setsToday);
      bank().each(filter -> filter.learn(set, setsToday));
    }
    bank().rest();
    countFlags(logged.flagged(), Math.signum(bank().today().mean() - morning));
    if (logged.trained()) {
      trainOn(logged.date());
    }
  }

  private void countFlags(boolean flagged, double now) {
    if (flagged) {
      flags = flags > 0 && now == side ? flags + 1 : 1;
      side = now;
    } else {
      flags = 0;
    }
  }
}
