package org.yarbel.web.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.call.EasyWay;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.WornFrom;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Said;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetMarkRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.session.SessionNotes;

/** What is said of a set beside its figures, made whole: by the check-in of its day, by what is normally worn, by what stands. */
@Component
class CardBeside {
  private final SetMarkRepository marks;
  private final SessionNotes notes;
  private final Lifts lifts;

  CardBeside(SetMarkRepository marks, SessionNotes notes, Lifts lifts) {
    this.marks = marks;
    this.notes = notes;
    this.lifts = lifts;
  }

  /**
   * What is said of a set. Where nobody was asked, what stands stays, and a new set has what the day's check-in makes of it; what
   * was said to be worn says by itself whether a belt is missing.
   */
  Said said(TrainingSession session, CardDocument.CardSlot slot, Entry entry, @Nullable LoggedSetRow standing) {
    Said said = asked(entry, standing, session, slot);
    EasyWay easier = session.easier();
    return easier == null || slot.easier() == null || !slot.easier().containsKey(easier) ? said : said.choosing(easier.chosen());
  }

  private Said asked(Entry entry, @Nullable LoggedSetRow standing, TrainingSession session, CardDocument.CardSlot slot) {
    Said said = entry.said();
    if (said == null) {
      said = standing == null ? Said.NOTHING.inStates(ofTheDay(session, slot.lift())) : standing(standing);
    } else if (said.gear() == null && standing != null && standing.state().gear() != null) {
      // the pieces stand as they were shown, which is as they were said
      said = said.wearing(standing.state().gear());
    }
    Pain pain = said.pain();
    if (pain != null && lifts.catalogue().ofKey(said.did() == null ? slot.lift() : said.did()).filter(pain::spoils).isPresent()) {
      said = said.inStates(Stream.concat(said.contexts().stream(), Stream.of(Context.PAIN)).collect(Collectors.toSet()));
    }
    return said.gear() == null ? said : said.inStates(WornFrom.contexts(slot.worn(), entry.load(), said.gear(), said.contexts()));
  }

  private Said standing(LoggedSetRow row) {
    return new Said(row.state().contexts(), row.state().contextWords(), row.state().gear(), marks.findBySetIdOrderById(row.id()).stream()
        .filter(mark -> mark.clipId() == null).map(SetMark::mark).toList(), row.state().repSpeeds(),
        row.askedLift() == null ? null : row.lift(), row.state().chosen(), null);
  }

  /** What the day and the place of a session make of every set of a lift. */
  Set<Context> ofTheDay(TrainingSession session, String key) {
    return notes.told(session).contextOf(lifts.catalogue().ofKey(key));
  }

  /** Keeps the marks of a set in place of those that stand; what stays was seen by whoever saw it first. */
  void mark(LoggedSetRow row, List<Mark> wanted, boolean byCoach) {
    List<Mark> missing = new ArrayList<>(wanted);
    for (SetMark there : marks.findBySetIdOrderById(row.id())) {
      // what was seen on a clip stands there, and is taken out there
      if (there.clipId() == null && !missing.remove(there.mark())) {
        marks.delete(there);
      }
    }
    missing.forEach(mark -> marks.save(new SetMark(row, mark, byCoach)));
    marks.flush();
  }
}
