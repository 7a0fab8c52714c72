package org.yarbel.web.kitroom;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.club.Undoing;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.form.Typed;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Writes down what places own, and takes it back. */
@Service
class KitRoom implements Undoing {
  private static final int MOST_PLACES = 50;

  private final Places places;
  private final Lifts lifts;
  private final ChangeRepository changes;
  private final CoreJson json;
  private final ClubClock clock;

  KitRoom(Places places, Lifts lifts, ChangeRepository changes, CoreJson json, ClubClock clock) {
    this.places = places;
    this.lifts = lifts;
    this.changes = changes;
    this.json = json;
    this.clock = clock;
  }

  /** What a place was called and owned. */
  private record KitSaid(String name, PlaceKit kit) {}

  /**
   * What became of a form.
   *
   * @param changeId by which it can be undone; 0 when nothing was changed
   */
  record SavedKit(Typed typed, long placeId, long changeId, boolean meanwhile) {}

  /** Makes a place with an ordinary gym's kit, or that of another place. */
  @Transactional
  public SavedKit add(Map<String, String> fields) {
    Typed typed = new Typed(fields);
    List<Place> all = places.all();
    String name = new KitForm(typed, Map.of(), lifts.catalogue(), clock.today()).name(all.stream().map(Place::name).toList());
    if (all.size() >= MOST_PLACES) {
      typed.wrong("name", "A club may have at most " + MOST_PLACES + " places.");
    }
    if (!typed.fine()) {
      return new SavedKit(typed, 0, 0, false);
    }
    String like = typed.text("like");
    PlaceKit kit = all.stream().filter(place -> Long.toString(place.id()).equals(like)).findFirst().map(places::kit)
        .orElseGet(() -> PlaceKit.of(Kit.standard(like.equals("LB") ? MassUnit.LB : MassUnit.KG)));
    return new SavedKit(typed, places.add(name, kit).id(), 0, false);
  }

  /** Writes down what a place owns now, unless somebody else did meanwhile. */
  @Transactional
  public SavedKit write(long placeId, int version, Map<String, String> fields, SignedIn who) {
    Typed typed = new Typed(fields);
    Place place = places.one(placeId);
    if (place.version() != version) {
      return new SavedKit(typed, placeId, 0, true);
    }
    List<String> others = places.all().stream().filter(p -> p.id() != placeId).map(Place::name).toList();
    KitForm form = new KitForm(typed, KitForm.fields(place.name(), places.kit(place)), lifts.catalogue(), clock.today());
    String name = form.name(others);
    PlaceKit kit = form.kit();
    if (!typed.fine() || kit == null) {
      return new SavedKit(typed, placeId, 0, false);
    }
    String before = json.write(new KitSaid(place.name(), places.kit(place)));
    String after = json.write(new KitSaid(name, kit));
    if (before.equals(after)) {
      return new SavedKit(typed, placeId, 0, false);
    }
    places.write(placeId, name, kit);
    Change change = changes.save(Change.ofPlace(who.accountId(), clock.now(), placeId, before, after));
    return new SavedKit(typed, placeId, change.id(), false);
  }

  /**
   * Undoes a change when nothing later touched the same place.
   *
   * @return what was done, or why not
   */
  @Transactional
  public UndoOutcome undo(long placeId, long changeId) {
    return undo(changes.findById(changeId).filter(c -> c.subject() == subject() && c.subjectId() == placeId).orElseThrow(NotFound::new));
  }

  @Override
  public Change.Subject subject() {
    return Change.Subject.PLACE;
  }

  @Override
  @Transactional
  public UndoOutcome undo(Change change) {
    Optional<Change> newest = changes.findFirstBySubjectAndSubjectIdAndUndoneFalseOrderByIdDesc(subject(), change.subjectId());
    String before = change.before();
    if (change.undone() || before == null || newest.isEmpty() || newest.get().id() != change.id()) {
      return UndoOutcome.refused("Not undone: the kit was changed again since. Undo the later change first.");
    }
    change.undo();
    put(change.subjectId(), before);
    return UndoOutcome.done("The kit is back as it was.");
  }

  @Override
  @Transactional
  public UndoOutcome redo(Change change) {
    Place place = places.one(change.subjectId());
    String after = change.after();
    if (!change.undone() || after == null || !json.write(new KitSaid(place.name(), places.kit(place))).equals(change.before())) {
      return UndoOutcome.refused("Not done again: the kit was changed since.");
    }
    change.redo();
    put(change.subjectId(), after);
    return UndoOutcome.done("The change to the kit is done again.");
  }

  private void put(long placeId, String document) {
    KitSaid said = json.read(document, KitSaid.class);
    places.write(placeId, said.name(), said.kit());
  }

  Place place(@Nullable Long placeId) {
    return placeId == null ? places.all().get(0) : places.one(placeId);
  }
}
