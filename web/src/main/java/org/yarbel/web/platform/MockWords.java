package org.yarbel.web.platform;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.MockCheck;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Learned;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Standing;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;

/** What a mock contest says of the ratings of the weeks before it. */
@Component
class MockWords {
  private final Tracking tracking;
  private final ClubClock clock;

  MockWords(Tracking tracking, ClubClock clock) {
    this.tracking = tracking;
    this.clock = clock;
  }

  /**
   * In a sentence or two; empty where the lift was not taken to its limit.
   *
   * @param whole whether all of the log may be run again, where it goes on after the day
   */
  Optional<SummaryView.RatingsLine> line(Day day, Lifter lifter, LiftDay lifted, Background background, boolean whole) {
    LocalDate on = day.contest().day();
    Mass best = IntoLog.tested(lifted, day).orElse(null);
    LiftNumbers own = background.numbers(lifter.id(), lifted.lift()).orElse(null);
    if (on == null || best == null || own == null || own.standing().isEmpty()) {
      return Optional.empty();
    }
    List<Observation> log = background.sets().getOrDefault(lifter.id(), List.of()).stream()
        .filter(row -> row.lift().equals(lifted.lift())).map(LoggedSetRow::observation).toList();
    MockCheck check = MockCheck.of(log, on, best, own.chart());
    String words = day.lift(lifted.lift()) + ": by a max of " + best.text() + " the ratings of the last four weeks "
        + (check.sets().isEmpty() ? "were none" : said(check.bias()) + ", by " + Count.of(check.sets().size(), "set"))
        + ". The rating bias is " + bias(own.standing().get());
    Standing then = then(lifter, own, IntoLog.observations(lifted, on), whole);
    return Optional.of(then == null ? new SummaryView.RatingsLine(words + " now", false)
        : new SummaryView.RatingsLine(words + " now, and " + bias(then) + " once this is in the log", true));
  }

  private @Nullable Standing then(Lifter lifter, LiftNumbers own, List<Observation> attempts, boolean whole) {
    Standing known = tracking.with(lifter, own, attempts).orElse(null);
    return known == null && whole ? tracking.withAll(lifter, own, attempts) : known;
  }

  private static String said(double bias) {
    double shown = Math.rint(10 * bias) / 10;
    if (shown == 0) {
      return "were about right";
    }
    return "said " + Math.abs(shown) + (Math.abs(shown) == 1 ? " rep" : " reps") + (shown > 0 ? " too many were left"
        : " too few were left");
  }

  private String bias(Standing standing) {
    Learned learned = standing.on(clock.today()).learned();
    return String.format(Locale.ENGLISH, "%+.1f ± %.1f", learned.ratingBias().value(), learned.ratingBias().sd()) + " reps";
  }
}
