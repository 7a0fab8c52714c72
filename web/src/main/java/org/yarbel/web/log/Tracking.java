package org.yarbel.web.log;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.core.track.Observation;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterService;

/** Runs the tracker over the log of a lift and keeps what it says. */
@Service
public class Tracking implements LifterService.LiftTracker {
  private final LoggedSetRepository sets;
  private final LiftNumbersRepository numbers;
  private final TrackedPointRepository points;

  Tracking(LoggedSetRepository sets, LiftNumbersRepository numbers, TrackedPointRepository points) {
    this.sets = sets;
    this.numbers = numbers;
    this.points = points;
  }

  /** Re-runs one lift from the start. A lift that had no numbers yet gets them with its first observation. */
  @Override
  @Transactional
  public void rerun(Lifter lifter, String lift) {
    List<Observation> log = sets.ofLift(lifter.id(), lift).stream().map(LoggedSetRow::observation).toList();
    LiftNumbers own = numbers.findByLifterIdAndLift(lifter.id(), lift)
        .orElseGet(() -> new LiftNumbers(lifter.id(), lift));
    MaxTracker.Track track = new MaxTracker(own.level(), own.testedForTracking()).run(log, lifter.unit());
    LocalDate newest = log.isEmpty() ? own.testedOn() : log.get(log.size() - 1).date();
    own.track(track.now(), newest);
    numbers.save(own);
    keep(lifter.id(), lift, track.points());
  }

  private void keep(long lifterId, String lift, List<MaxTracker.Point> track) {
    Map<LocalDate, TrackedPoint> stored = new HashMap<>();
    points.findByLifterIdAndLiftOrderByDay(lifterId, lift).forEach(point -> stored.put(point.day(), point));
    for (MaxTracker.Point point : track) {
      TrackedPoint old = stored.remove(point.date());
      if (old == null) {
        points.save(new TrackedPoint(lifterId, lift, point));
      } else if (!old.says(point)) {
        old.take(point);
      }
    }
    points.deleteAll(stored.values());
  }
}
