package org.yarbel.web.lifter;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.problem.NotFound;

/** Takes lifters on and writes down what is known of them. */
@Service
public class LifterService {
  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final Places places;
  private final ClubClock clock;
  private final LiftTracker tracker;
  private final EntityManager entities;

  LifterService(LifterRepository lifters, LiftNumbersRepository numbers, Places places, ClubClock clock,
      LiftTracker tracker, EntityManager entities) {
    this.lifters = lifters;
    this.numbers = numbers;
    this.places = places;
    this.clock = clock;
    this.tracker = tracker;
    this.entities = entities;
  }

  /** Re-runs the tracked max of a lift; the log's package does it. */
  public interface LiftTracker {
    void rerun(Lifter lifter, String lift);
  }

  /** A lifter with the numbers of their lifts. */
  record Known(Lifter lifter, List<LiftNumbers> numbers) {}

  /** What became of a form: the lifter's id, or a sentence a field. {@code meanwhile} when somebody changed them. */
  record Saved(long lifterId, Map<String, String> errors, boolean meanwhile) {}

  @Transactional(readOnly = true)
  Known known(long lifterId) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    return new Known(lifter, numbers.findByLifterIdIn(List.of(lifterId)));
  }

  @Transactional(readOnly = true)
  List<Place> places() {
    return places.all();
  }

  /** Takes a new lifter on. */
  @Transactional
  public Saved add(Map<String, String> typed) {
    LifterForm form = new LifterForm(typed, clock.today());
    Lifter lifter = new Lifter("", MassUnit.KG, 0);
    List<LiftNumbers> read = read(form, lifter, List.of());
    if (!form.errors().isEmpty()) {
      return new Saved(0, form.errors(), false);
    }
    lifters.saveAndFlush(lifter);
    List<LiftNumbers> own = read.stream().map(n -> n.of(lifter.id())).toList();
    keep(lifter, own);
    return new Saved(lifter.id(), Map.of(), false);
  }

  /** Changes what is known of a lifter, unless somebody else did meanwhile. */
  @Transactional
  public Saved change(long lifterId, int version, Map<String, String> typed) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    if (lifter.version() != version) {
      return new Saved(lifterId, Map.of(), true);
    }
    LifterForm form = new LifterForm(typed, clock.today());
    List<LiftNumbers> read = read(form, lifter, numbers.findByLifterIdIn(List.of(lifterId)));
    if (!form.errors().isEmpty()) {
      entities.clear();
      return new Saved(lifterId, form.errors(), false);
    }
    entities.lock(lifter, LockModeType.OPTIMISTIC_FORCE_INCREMENT);
    keep(lifter, read);
    return new Saved(lifterId, Map.of(), false);
  }

  private List<LiftNumbers> read(LifterForm form, Lifter lifter, List<LiftNumbers> stored) {
    long place = form.placeId();
    if (!form.errors().containsKey("place") && places.all().stream().noneMatch(p -> p.id() == place)) {
      form.errors().put("place", "Choose one of the club's places.");
    }
    lifter.describe(form.name(), form.unit(), place);
    lifter.body(form.sex(), form.birthYear(), form.bodyMass(), form.note());
    return Lift.catalogue().stream().filter(form::has).map(lift -> {
      LiftNumbers own = stored.stream().filter(n -> n.lift().equals(lift.key())).findFirst()
          .orElseGet(() -> new LiftNumbers(0, lift.key()).of(lifter.isNew() ? 0 : lifter.id()));
      own.decide(form.level(lift), form.basis(lift));
      form.tested(lift, own::test);
      form.goal(lift, own::aim);
      return own;
    }).toList();
  }

  private void keep(Lifter lifter, List<LiftNumbers> own) {
    numbers.saveAllAndFlush(own);
    own.forEach(n -> tracker.rerun(lifter, n.lift()));
  }
}
