package org.yarbel.web.lifter;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.EntryDoubt;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.track.Observation;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.club.Turns;
import org.yarbel.web.form.Typed;
import org.yarbel.web.problem.NotFound;

/** Takes lifters on and writes down what is known of them. */
@Service
public class LifterService {
  private static final Limit SHOWN = Limit.of(60);
  private static final int MOST_ROWS = 1_000;

  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final WeighInRepository weighIns;
  private final ComplaintRepository complaints;
  private final LifterPlaceRepository further;
  private final Places places;
  private final Lifts lifts;
  private final ClubClock clock;
  private final LiftTracker tracker;
  private final EntityManager entities;
  private final Turns turns;

  LifterService(LifterRepository lifters, LiftNumbersRepository numbers, WeighInRepository weighIns,
      ComplaintRepository complaints, LifterPlaceRepository further, Places places, Lifts lifts, ClubClock clock,
      LiftTracker tracker, EntityManager entities, Turns turns) {
    this.turns = turns;
    this.lifters = lifters;
    this.numbers = numbers;
    this.weighIns = weighIns;
    this.complaints = complaints;
    this.further = further;
    this.places = places;
    this.lifts = lifts;
    this.clock = clock;
    this.tracker = tracker;
    this.entities = entities;
  }

  /** Keeps the tracked max of a lift; the log's package does it. */
  public interface LiftTracker {
    void rerun(Lifter lifter, String lift);

    /** The same over a log of many years, where the transaction writes nothing else of it: no row of it is kept in memory. */
    void rerunLong(Lifter lifter, String lift);

    void tell(Lifter lifter, String lift, Observation set);

    /** The sets that were told of a lifter, the newest first. */
    List<ToldLifter> told(long lifterId);

    /** Takes one of them out. */
    ToldLifter untell(Lifter lifter, long setId);
  }

  /** A set that was told, not lifted from a card. */
  public record ToldLifter(long id, String lift, Observation set) {}

  /** A lifter with all that is written down of them. */
  record KnownNumber(Lifter lifter, List<LiftNumbers> numbers, List<WeighIn> weighIns, List<Complaint> complaints,
      Set<Long> furtherPlaces, List<ToldLifter> told, Catalogue lifts) {
    @Nullable Mass bodyMass() {
      return weighIns.isEmpty() ? null : weighIns.get(0).mass();
    }
  }

  /** What became of a form. {@code meanwhile} when somebody changed the lifter. */
  record SavedLifter(long lifterId, Typed typed, boolean meanwhile) {
    boolean done() {
      return typed.fine() && !meanwhile;
    }
  }

  @Transactional(readOnly = true)
  KnownNumber known(long lifterId) {
    Lifter lifter = one(lifterId);
    Set<Long> also = further.findByLifterIdOrderByPlaceId(lifterId).stream().map(LifterPlace::placeId).collect(Collectors.toSet());
    return new KnownNumber(lifter, numbers.findByLifterIdIn(List.of(lifterId)), weighIns.findByLifterIdOrderByDayDesc(lifterId, SHOWN),
        complaints.of(lifterId, SHOWN), also, tracker.told(lifterId), lifts.catalogue());
  }

  Lifter one(long lifterId) {
    return lifters.findById(lifterId).orElseThrow(NotFound::new);
  }

  @Transactional(readOnly = true)
  List<Place> places() {
    return places.all();
  }

  @Transactional(readOnly = true)
  List<Lift> offered() {
    return lifts.offered();
  }

  private Set<Long> placeIds() {
    return places.all().stream().map(Place::id).collect(Collectors.toSet());
  }

  /** Takes a new lifter on with a first number of up to three lifts; they are a coach's own. */
  @Transactional
  public SavedLifter takeOn(Map<String, String> fields, long coach) {
    Typed typed = new Typed(fields);
    LifterForm form = new LifterForm(typed, clock.today());
    Lifter lifter = new Lifter("", MassUnit.KG, 0);
    form.describe(lifter, placeIds());
    lifter.life(null, null, null, form.free());
    lifter.ofCoach(coach);
    List<LifterForm.First> firsts = form.firsts(lifts.catalogue());
    if (!typed.fine()) {
      return new SavedLifter(0, typed, false);
    }
    lifters.saveAndFlush(lifter);
    firsts.forEach(first -> begin(lifter, first.lift(), first.entry()));
    return new SavedLifter(lifter.id(), typed, false);
  }

  private void begin(Lifter lifter, Lift lift, Entry entry) {
    LiftNumbers own = numbers.findByLifterIdAndLift(lifter.id(), lift.key()).orElseGet(() -> {
      LiftNumbers made = new LiftNumbers(lifter.id(), lift.key());
      made.decide(Level.INTERMEDIATE, Basis.ESTIMATED);
      return made;
    });
    if (entry.tested()) {
      own.test(entry.set().load(), entry.set().date());
    }
    numbers.saveAndFlush(own);
    if (entry.tested()) {
      tracker.rerun(lifter, lift.key());
    } else {
      tracker.tell(lifter, lift.key(), entry.set());
    }
  }

  /** Notes a set from before, or a newly tested max, of any lift. */
  @Transactional
  public Typed tell(long lifterId, Map<String, String> fields) {
    turns.ofLifter(lifterId);
    Typed typed = new Typed(fields);
    Lifter lifter = one(lifterId);
    Optional<Lift> lift = lifts.catalogue().ofKey(typed.text("lift"));
    if (lift.isEmpty()) {
      typed.wrong("lift", "Choose the lift.");
    }
    if (typed.empty("load")) {
      typed.wrong("load", "Write the load.");
    }
    Entry entry = new EntryReader(typed, "", typed.empty("toldIn") ? lifter.unit() : typed.unit("toldIn"), clock.today()).read();
    if (entry != null && lift.isPresent()) {
      numbers.findByLifterIdAndLift(lifterId, lift.get().key())
          .map(own -> own.estimate(lifter.unit(), clock.today()))
          .flatMap(known -> EntryDoubt.unit(entry.max(), known.max()))
          .ifPresent(question -> typed.doubt("load", question));
    }
    if (typed.fine() && entry != null) {
      begin(lifter, lift.orElseThrow(), entry);
    }
    return typed;
  }

  /** Takes a told set out; what it was is answered, so that it can be put back. */
  @Transactional
  public ToldLifter untell(long lifterId, long setId) {
    turns.ofLifter(lifterId);
    return tracker.untell(one(lifterId), setId);
  }

  /** Changes what is known of a lifter, unless somebody else did meanwhile. */
  @Transactional
  public SavedLifter change(long lifterId, int version, Map<String, String> fields) {
    turns.ofLifter(lifterId);
    Typed typed = new Typed(fields);
    Lifter lifter = one(lifterId);
    if (lifter.version() != version) {
      return new SavedLifter(lifterId, typed, true);
    }
    LifterForm form = new LifterForm(typed, clock.today());
    Set<Long> placeIds = placeIds();
    form.describe(lifter, placeIds);
    form.more(lifter);
    List<LiftNumbers> stored = numbers.findByLifterIdIn(List.of(lifterId));
    List<LiftNumbers> read = new ArrayList<>();
    for (Lift lift : lifts.catalogue().all()) {
      if (form.has(lift)) {
        LiftNumbers own = stored.stream().filter(n -> n.lift().equals(lift.key())).findFirst()
            .orElseGet(() -> new LiftNumbers(lifterId, lift.key()));
        form.numbers(lift, own);
        read.add(own);
      }
    }
    if (!typed.fine()) {
      entities.clear();
      return new SavedLifter(lifterId, typed, false);
    }
    entities.lock(lifter, LockModeType.OPTIMISTIC_FORCE_INCREMENT);
    numbers.saveAllAndFlush(read);
    read.forEach(own -> tracker.rerun(lifter, own.lift()));
    keepPlaces(lifterId, form.furtherPlaces(placeIds));
    return new SavedLifter(lifterId, typed, false);
  }

  private void keepPlaces(long lifterId, Set<Long> wanted) {
    List<LifterPlace> stored = further.findByLifterIdOrderByPlaceId(lifterId);
    stored.stream().filter(p -> !wanted.contains(p.placeId())).forEach(further::delete);
    Set<Long> there = stored.stream().map(LifterPlace::placeId).collect(Collectors.toSet());
    wanted.stream().filter(id -> !there.contains(id)).forEach(id -> further.save(new LifterPlace(lifterId, id)));
  }

  /** Writes down a body mass; a second one of the same day replaces the first. */
  @Transactional
  public Typed weigh(long lifterId, Map<String, String> fields) {
    turns.ofLifter(lifterId);
    Typed typed = new Typed(fields);
    Lifter lifter = one(lifterId);
    LocalDate day = typed.empty("day") ? clock.today() : typed.past("day", clock.today());
    List<WeighIn> before = weighIns.findByLifterIdOrderByDayDesc(lifterId, Limit.of(1));
    MassUnit unit = typed.empty("weighedIn") ? lifter.unit() : typed.unit("weighedIn");
    Mass mass = new LifterForm(typed, clock.today()).bodyMass("bodyMass", unit, before.isEmpty() ? null : before.get(0).mass());
    if (typed.empty("bodyMass")) {
      typed.wrong("bodyMass", "Write the body mass.");
    }
    if (typed.fine() && day != null && mass != null) {
      WeighIn row = weighIns.findByLifterIdAndDay(lifterId, day).orElseGet(() -> new WeighIn(lifterId, day, mass));
      row.weigh(mass);
      weighIns.saveAndFlush(row);
    }
    return typed;
  }

  /** Takes a body mass out; what it was is answered, so that it can be put back. */
  @Transactional
  public WeighIn unweigh(long lifterId, long id) {
    turns.ofLifter(lifterId);
    WeighIn row = weighIns.findById(id).filter(w -> w.lifterId() == lifterId).orElseThrow(NotFound::new);
    weighIns.delete(row);
    return row;
  }

  /** Writes down where it hurts or what holds back. */
  @Transactional
  public Typed complain(long lifterId, Map<String, String> fields) {
    turns.ofLifter(lifterId);
    Typed typed = new Typed(fields);
    one(lifterId);
    String place = typed.name("where", "where it is, such as left knee", 60);
    LocalDate since = typed.empty("painSince") ? clock.today() : typed.past("painSince", clock.today());
    Integer score = typed.whole("score", "The pain", 0, 10);
    String aggravates = typed.note("aggravates", 200);
    if (complaints.of(lifterId, Limit.of(MOST_ROWS)).size() >= MOST_ROWS) {
      typed.wrong("where", "There are too many entries already.");
    }
    if (typed.fine() && since != null) {
      complaints.saveAndFlush(new Complaint(lifterId, place, since, score, aggravates));
    }
    return typed;
  }

  /** Marks a complaint as over, or as there again. */
  @Transactional
  public void over(long lifterId, long id, boolean over) {
    turns.ofLifter(lifterId);
    complaints.findById(id).filter(c -> c.lifterId() == lifterId).orElseThrow(NotFound::new).over(over ? clock.today() : null);
  }
}
