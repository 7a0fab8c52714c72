package org.yarbel.web.log;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.RatingSkill;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.Track;
import org.yarbel.core.track.Tracker;
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
  private final StandingBeforeRepository before;
  private final ClubClock clock;
  private final EntityManager entities;

  Tracking(LoggedSetRepository sets, LiftNumbersRepository numbers, TrackedPointRepository points, Lifts lifts,
      StandingBeforeRepository before, ClubClock clock, EntityManager entities) {
    this.sets = sets;
    this.numbers = numbers;
    this.points = points;
    this.lifts = lifts;
    this.before = before;
    this.clock = clock;
    this.entities = entities;
  }

  /**
   * Takes a set in that was logged or changed: from where the tracker stood before its day, so that a long log costs no more than
   * a short one. Where the day is behind others, all of the lift is run again.
   */
  @Transactional
  public void logged(Lifter lifter, String lift, LocalDate day) {
    LiftNumbers own = numbers.findByLifterIdAndLift(lifter.id(), lift).orElse(null);
    Standing from = own == null ? null : from(own, day);
    if (own == null || from == null || own.level() == Level.BEGINNER) {
      // whether a beginner's ratings are practice yet, all of them tell
      rerun(lifter, lift);
      return;
    }
    List<Observation> since = sets.ofLiftSince(lifter.id(), lift, from.day().plusDays(1)).stream().map(LoggedSetRow::observation).toList();
    Track track = tracker(own).goOn(from, since, lifter.unit());
    take(own, track);
    Mass most = own.heaviest(lifter.unit());
    heaviest(since).filter(load -> most == null || load.compareTo(most) > 0).ifPresent(own::lifted);
    numbers.save(own);
    keep(points.findByLifterIdAndLiftAndDayGreaterThanEqualOrderByDay(lifter.id(), lift, from.day().plusDays(1)), own, track.points());
    learnRatios(lifter, lift, own);
  }

  /** Where the tracker stood last before a day: at its newest day, or before that; null where it has to begin anew. */
  private @Nullable Standing from(LiftNumbers own, LocalDate day) {
    return own.standing().filter(now -> day.isAfter(now.day()))
        .or(() -> before.findByLifterIdAndLift(own.lifterId(), own.lift()).flatMap(row -> Standing.of(own.level(), row.numbers())))
        .filter(standing -> day.isAfter(standing.day())).orElse(null);
  }

  private static Optional<Mass> heaviest(List<Observation> log) {
    return log.stream().filter(set -> set.reps() > 0).map(Observation::load).filter(load -> load.nanograms() > 0)
        .max(Comparator.naturalOrder());
  }

  private static Tracker tracker(LiftNumbers own) {
    return new Tracker(own.level(), own.testedForTracking()).fromTheLog();
  }

  /** Ratings of a beginner are practice until they were good for eight weeks: those from a card say nothing of the max till then. */
  private static List<Observation> observations(LiftNumbers own, List<LoggedSetRow> rows) {
    boolean practice = own.level() == Level.BEGINNER && !RatingSkill.of(rows.stream().map(LoggedSetRow::rated).toList()).practised();
    return rows.stream().map(row -> practice && !row.told() ? row.observation().unrated() : row.observation()).toList();
  }

  private void take(LiftNumbers own, Track track) {
    own.track(track);
    Optional<StandingBefore> there = before.findByLifterIdAndLift(own.lifterId(), own.lift());
    Standing start = track.before();
    if (start == null) {
      there.ifPresent(before::delete);
    } else {
      StandingBefore row = there.orElseGet(() -> new StandingBefore(own.lifterId(), own.lift()));
      row.take(start.numbers());
      before.save(row);
    }
    before.flush();
  }

  /** Re-runs one lift from the start. A lift that had no numbers yet gets them with its first observation. */
  @Override
  @Transactional
  public void rerun(Lifter lifter, String lift) {
    LiftNumbers own = own(lifter, lift);
    run(lifter, own, observations(own, sets.ofLift(lifter.id(), lift)));
  }

  @Override
  @Transactional
  public void rerunLong(Lifter lifter, String lift) {
    LiftNumbers own = own(lifter, lift);
    if (own.level() == Level.BEGINNER) {
      rerun(lifter, lift);
      return;
    }
    List<Observation> log = new ArrayList<>();
    try (Stream<LoggedSetRow> rows = sets.eachOfLift(lifter.id(), lift)) {
      rows.forEach(row -> {
        log.add(row.observation());
        entities.detach(row);
      });
    }
    run(lifter, own, log);
  }

  /**
   * What the tracker would say with sets of a day after all that is in the log; empty where the log goes on after that day, so that all
   * of it would have to be run again.
   */
  public Optional<Standing> with(Lifter lifter, LiftNumbers own, List<Observation> further) {
    LocalDate day = further.get(0).date();
    return own.standing().filter(now -> day.isAfter(now.day()))
        .map(now -> tracker(own).goOn(now, further, lifter.unit()).standing());
  }

  /** The same wherever the log ends: all of the lift is run again. */
  @Transactional(readOnly = true)
  public Standing withAll(Lifter lifter, LiftNumbers own, List<Observation> further) {
    List<Observation> all = new ArrayList<>(observations(own, sets.ofLift(lifter.id(), own.lift())));
    all.addAll(further);
    return Objects.requireNonNull(tracker(own).run(all, lifter.unit()).standing());
  }

  private LiftNumbers own(Lifter lifter, String lift) {
    return numbers.findByLifterIdAndLift(lifter.id(), lift).orElseGet(() -> new LiftNumbers(lifter.id(), lift));
  }

  private void run(Lifter lifter, LiftNumbers own, List<Observation> log) {
    Track track = tracker(own).run(log, lifter.unit());
    take(own, track);
    own.lifted(heaviest(log).orElse(null));
    numbers.save(own);
    keep(points.findByLifterIdAndLiftOrderByDay(lifter.id(), own.lift()), own, track.points());
    learnRatios(lifter, own.lift(), own);
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
  public List<LifterService.ToldLifter> told(long lifterId) {
    return sets.told(lifterId, SHOWN).stream().map(Tracking::told).toList();
  }

  @Override
  @Transactional
  public LifterService.ToldLifter untell(Lifter lifter, long setId) {
    LoggedSetRow row = sets.findById(setId).filter(set -> set.lifterId() == lifter.id() && set.told()).orElseThrow(NotFound::new);
    sets.delete(row);
    sets.flush();
    rerun(lifter, row.lift());
    return told(row);
  }

  private static LifterService.ToldLifter told(LoggedSetRow row) {
    return new LifterService.ToldLifter(row.id(), row.lift(), row.observation());
  }

  /** Keeps points in place of those that are stored of their days. */
  private void keep(List<TrackedPoint> there, LiftNumbers own, List<Track.Point> track) {
    Map<LocalDate, TrackedPoint> stored = new HashMap<>();
    there.forEach(point -> stored.put(point.day(), point));
    for (Track.Point point : track) {
      TrackedPoint old = stored.remove(point.date());
      if (old == null) {
        points.save(new TrackedPoint(own.lifterId(), own.lift(), point));
      } else if (!old.says(point)) {
        old.take(point);
      }
    }
    points.deleteAll(stored.values());
    points.flush();
  }

  /** The ratio of this lift to its parent, and those of the lifter's variations of it; all from the points that are kept. */
  private void learnRatios(Lifter lifter, String key, LiftNumbers own) {
    Catalogue catalogue = lifts.catalogue();
    Optional<Lift> lift = catalogue.ofKey(key);
    if (lift.isEmpty()) {
      return;
    }
    List<LiftNumbers> variations = numbers.findByLifterIdIn(List.of(lifter.id())).stream()
        .filter(n -> catalogue.ofKey(n.lift()).filter(l -> key.equals(l.parent()) && l.ratio() != null).isPresent()).toList();
    Optional<Lift> parent = lift.get().ratio() == null ? Optional.empty() : catalogue.parent(lift.get());
    if (parent.isEmpty() && variations.isEmpty()) {
      return;
    }
    List<TrackedPoint> mine = points.findByLifterIdAndLiftOrderByDay(lifter.id(), key);
    if (parent.isPresent() && !mine.isEmpty()) {
      learn(lifter, own, lift.get(), mine, points.findByLifterIdAndLiftOrderByDay(lifter.id(), parent.get().key()));
    }
    for (LiftNumbers theirs : variations) {
      learn(lifter, theirs, catalogue.ofKey(theirs.lift()).orElseThrow(), points.findByLifterIdAndLiftOrderByDay(lifter.id(),
          theirs.lift()), mine);
    }
  }

  private void learn(Lifter lifter, LiftNumbers own, Lift lift, List<TrackedPoint> track, List<TrackedPoint> parent) {
    List<VariationRatio.Exposure> exposures = new ArrayList<>();
    for (TrackedPoint point : track) {
      TrackedPoint known = lastBefore(parent, point.day());
      Mass max = known == null ? null : known.estimate(lifter.unit());
      Mass sd = known == null ? null : known.sd(lifter.unit());
      Mass raw = point.raw(lifter.unit());
      if (max != null && sd != null && raw != null && point.spread() != null) {
        exposures.add(new VariationRatio.Exposure(point.day(), raw.ratioTo(max), point.spread(), 100 * sd.ratioTo(max)));
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
