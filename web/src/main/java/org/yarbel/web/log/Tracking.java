package org.yarbel.web.log;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.ChartFitting;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.RatingBias;
import org.yarbel.core.track.VariationRatio;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterService;
import org.yarbel.web.problem.NotFound;

/** Runs the tracker over the log of a lift and keeps what it says, with what else the log teaches. */
@Service
public class Tracking implements LifterService.LiftTracker {

  private static final Limit SHOWN = Limit.of(20);

  private final LoggedSetRepository sets;
  private final LiftNumbersRepository numbers;
  private final TrackedPointRepository points;
  private final Lifts lifts;
  private final ClubClock clock;

  Tracking(LoggedSetRepository sets, LiftNumbersRepository numbers, TrackedPointRepository points, Lifts lifts, ClubClock clock) {
    this.sets = sets;
    this.numbers = numbers;
    this.points = points;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** Re-runs one lift from the start. A lift that had no numbers yet gets them with its first observation. */
  @Override
  @Transactional
  public void rerun(Lifter lifter, String lift) {
    List<Observation> log = sets.ofLift(lifter.id(), lift).stream().map(LoggedSetRow::observation).toList();
    LiftNumbers own = numbers.findByLifterIdAndLift(lifter.id(), lift)
        .orElseGet(() -> new LiftNumbers(lifter.id(), lift));
    MaxTracker.Track track = track(own, log, lifter.unit(), clock.today());
    own.track(track.standing());
    List<Observation> telling = log.stream().filter(set -> !set.practice()).toList();
    own.learn(ChartFitting.of(telling, own.level(), own.testedForTracking(), lifter.unit()), RatingBias.of(telling));
    numbers.save(own);
    keep(lifter.id(), lift, track.points());
    learnRatios(lifter, lift, own, track.points());
  }

  /** Notes a set from before and lets the tracked max follow. */
  @Override
  @Transactional
  public void tell(Lifter lifter, String lift, Observation set) {
    sets.saveAndFlush(LoggedSetRow.told(lifter.id(), lift, set, clock.now()));
    rerun(lifter, lift);
  }

  @Override
  @Transactional(readOnly = true)
  public List<LifterService.Told> told(long lifterId) {
    return sets.told(lifterId, SHOWN).stream().map(Tracking::told).toList();
  }

  @Override
  @Transactional
  public LifterService.Told untell(Lifter lifter, long setId) {
    LoggedSetRow row = sets.findById(setId).filter(set -> set.lifterId() == lifter.id() && set.told()).orElseThrow(NotFound::new);
    sets.delete(row);
    sets.flush();
    rerun(lifter, row.lift());
    return told(row);
  }

  private static LifterService.Told told(LoggedSetRow row) {
    return new LifterService.Told(row.id(), row.lift(), row.observation());
  }

  private static MaxTracker.Track track(LiftNumbers own, List<Observation> log, MassUnit unit, LocalDate today) {
    List<Observation> steering = RatingBias.steering(log, own.level(), own.testedForTracking() != null, today);
    return new MaxTracker(own.level(), own.testedForTracking()).run(steering, unit);
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

  /** The ratio of this lift to its parent, and those of the lifter's variations of it. */
  private void learnRatios(Lifter lifter, String key, LiftNumbers own, List<MaxTracker.Point> track) {
    Catalogue catalogue = lifts.catalogue();
    Optional<Lift> lift = catalogue.ofKey(key);
    if (lift.isEmpty()) {
      return;
    }
    if (lift.get().ratio() != null && !track.isEmpty()) {
      catalogue.parent(lift.get()).ifPresent(parent -> learn(lifter, own, lift.get(), track,
          points.findByLifterIdAndLiftOrderByDay(lifter.id(), parent.key())));
    }
    List<LiftNumbers> variations = numbers.findByLifterIdIn(List.of(lifter.id())).stream()
        .filter(n -> catalogue.ofKey(n.lift()).filter(l -> key.equals(l.parent()) && l.ratio() != null).isPresent()).toList();
    List<TrackedPoint> mine = variations.isEmpty() ? List.of() : points.findByLifterIdAndLiftOrderByDay(lifter.id(), key);
    for (LiftNumbers theirs : variations) {
      List<Observation> log = sets.ofLift(lifter.id(), theirs.lift()).stream().map(LoggedSetRow::observation).toList();
      learn(lifter, theirs, catalogue.ofKey(theirs.lift()).orElseThrow(), track(theirs, log, lifter.unit(), clock.today()).points(), mine);
    }
  }

  private void learn(Lifter lifter, LiftNumbers own, Lift lift, List<MaxTracker.Point> track, List<TrackedPoint> parent) {
    List<VariationRatio.Exposure> exposures = new ArrayList<>();
    for (MaxTracker.Point point : track) {
      TrackedPoint known = lastBefore(parent, point.date());
      Mass max = known == null ? null : known.estimate(lifter.unit());
      Mass sd = known == null ? null : known.sd(lifter.unit());
      if (max != null && sd != null) {
        exposures.add(new VariationRatio.Exposure(point.date(), point.raw().ratioTo(max), point.spread(), 100 * sd.ratioTo(max)));
      }
    }
    own.learn(VariationRatio.learn(Objects.requireNonNull(lift.ratio()), exposures, null));
    numbers.save(own);
  }

  private static @Nullable TrackedPoint lastBefore(List<TrackedPoint> points, LocalDate day) {
    TrackedPoint last = null;
    for (TrackedPoint point : points) {
      last = point.day().isAfter(day) ? last : point;
    }
    return last;
  }
}
