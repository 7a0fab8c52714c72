package org.yarbel.web.platform;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.MockCheck;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;

/**
 * What the club knows of its own lifters around a contest's day.
 *
 * @param sets of the contested lifts on that day; of a mock contest also those of the weeks before, whose ratings it checks
 */
record Background(Map<Long, List<LiftNumbers>> numbers, Map<Long, List<LoggedSetRepository.Heaviest>> heaviest,
    Map<Long, List<LoggedSetRow>> sets, Map<Long, List<Contests.Going>> going) {

  Optional<LiftNumbers> numbers(long lifterId, String lift) {
    return numbers.getOrDefault(lifterId, List.of()).stream().filter(own -> own.lift().equals(lift)).findFirst();
  }

  /** The heaviest of a lift that was made before the day; empty where none is in the log. */
  Optional<LoggedSetRepository.Heaviest> heaviest(long lifterId, String lift) {
    return heaviest.getOrDefault(lifterId, List.of()).stream().filter(of -> of.getLift().equals(lift)).findFirst();
  }

  /** Reads it at once, however many of the club lifted. */
  @Component
  static class Reader {
    private final LiftNumbersRepository numbers;
    private final LoggedSetRepository sets;
    private final Contests contests;

    Reader(LiftNumbersRepository numbers, LoggedSetRepository sets, Contests contests) {
      this.numbers = numbers;
      this.sets = sets;
      this.contests = contests;
    }

    /** Of a day; of one without a date, only where its lifters go. */
    @Transactional(readOnly = true)
    public Background of(Day day) {
      List<Long> ours = new ArrayList<>(day.athletes().stream().filter(ContestAthlete::ours).map(ContestAthlete::lifterId).toList());
      LocalDate on = day.contest().day();
      if (on == null || ours.isEmpty()) {
        return new Background(Map.of(), Map.of(), Map.of(), contests.of(ours));
      }
      List<String> lifts = day.contested();
      LocalDate from = day.sheet().mock() ? on.minusDays(MockCheck.DAYS) : on;
      return new Background(
          numbers.findByLifterIdIn(ours).stream().collect(Collectors.groupingBy(LiftNumbers::lifterId)),
          sets.heaviestBefore(ours, lifts, on).stream().collect(Collectors.groupingBy(LoggedSetRepository.Heaviest::getLifterId)),
          sets.ofAllBetween(ours, lifts, from, on).stream().collect(Collectors.groupingBy(LoggedSetRow::lifterId)), contests.of(ours));
    }
  }
}
