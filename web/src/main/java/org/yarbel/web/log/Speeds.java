package org.yarbel.web.log;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.SpeedTable;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;

/** Draws up what the bar speeds of a lifter say, from the measured sets of the last year. */
@Service
public class Speeds {
  private static final Limit MOST = Limit.of(600);
  private static final int WEEKS = 52;

  private final LoggedSetRepository sets;
  private final Lifts lifts;
  private final ClubClock clock;

  Speeds(LoggedSetRepository sets, Lifts lifts, ClubClock clock) {
    this.sets = sets;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** A table for each lift that was measured at all, by its key. */
  @Transactional(readOnly = true)
  public Map<String, SpeedTable> of(Lifter lifter, Collection<LiftNumbers> known) {
    Map<String, List<SpeedTable.Measured>> byLift = new LinkedHashMap<>();
    sets.measured(lifter.id(), clock.today().minusWeeks(WEEKS), MOST).forEach(row -> row.measured()
        .ifPresent(measured -> byLift.computeIfAbsent(row.lift(), lift -> new ArrayList<>()).add(measured)));
    Map<String, SpeedTable> tables = new LinkedHashMap<>();
    byLift.forEach((lift, measured) -> tables.put(lift, SpeedTable.of(measured, tracked(lifter, known, lift), lifts.catalogue().ofKey(lift)
        .map(Lift::movement).orElse(Movement.OTHER), lifter.unit())));
    return tables;
  }

  private @Nullable Mass tracked(Lifter lifter, Collection<LiftNumbers> known, String lift) {
    return known.stream().filter(own -> own.lift().equals(lift)).findFirst().map(own -> own.estimate(lifter.unit(), clock.today()))
        .map(estimate -> estimate.max()).orElse(null);
  }
}
