package org.yarbel.web.board;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.Groups;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import tools.jackson.databind.json.JsonMapper;

/** How the lines of a session stand together: their order and their groups. Every change can be undone. */
@Service
class Arranging {
  static final String SUBJECT = "session";

  private static final Outcome FOLLOWS = new Outcome(null, "It follows the line it does again: move or change that one.");

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LifterRepository lifters;
  private final LoggedSetRepository log;
  private final ChangeRepository changes;
  private final Issuing issuing;
  private final ClubClock clock;
  private final JsonMapper json = new JsonMapper();
  private final Turns turns;

  Arranging(TrainingSessionRepository sessions, SlotRepository slots, LifterRepository lifters, LoggedSetRepository log,
      ChangeRepository changes, Issuing issuing, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.sessions = sessions;
    this.slots = slots;
    this.lifters = lifters;
    this.log = log;
    this.changes = changes;
    this.issuing = issuing;
    this.clock = clock;
  }

  /** Where one line stands. */
  private record Placed(long slotId, int position, @Nullable Integer groupNo) {}

  /** A whole session as it stands. */
  private record Arrangement(List<Placed> placed, String groups) {}

  /**
   * What became of a change.
   *
   * @param changeId to undo it by; null when nothing was changed
   */
  record Outcome(@Nullable Long changeId, String said) {}

  /** Moves a line by so many places; beyond the ends it stays at the end. */
  @Transactional
  Outcome move(long slotId, int by, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slot(slotId);
    if (slot.linkOf() != null) {
      return FOLLOWS;
    }
    List<Slot> order = own(slot.sessionId());
    int at = order.indexOf(slot);
    int to = Math.min(Math.max(at + by, 0), order.size() - 1);
    return to == at ? new Outcome(null, "It stands there already.") : moved(slot, order, to, who);
  }

  /** Moves a line to stand before another of its session; 0 for the end. */
  @Transactional
  Outcome moveBefore(long slotId, long beforeId, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slot(slotId);
    if (slot.linkOf() != null) {
      return FOLLOWS;
    }
    List<Slot> order = own(slot.sessionId());
    int at = order.indexOf(slot);
    int before = 0;
    while (before < order.size() && order.get(before).id() != beforeId) {
      before++;
    }
    int to = before > at ? before - 1 : before;
    return at < 0 || to == at ? new Outcome(null, "It stands there already.") : moved(slot, order, Math.min(to, order.size() - 1), who);
  }

  private Outcome moved(Slot slot, List<Slot> order, int to, SignedIn who) {
    return changed(slot.sessionId(), who, "Moved.", session -> {
      order.remove(slot);
      order.add(to, slot);
      Integer above = to == 0 ? null : order.get(to - 1).groupNo();
      Integer below = to + 1 == order.size() ? null : order.get(to + 1).groupNo();
      // between two lines of a group it joins them; away from its group it leaves
      boolean stays = slot.groupNo() != null && (slot.groupNo().equals(above) || slot.groupNo().equals(below));
      Integer group = above != null && above.equals(below) ? above : stays ? slot.groupNo() : null;
      slot.place(to + 1, group);
      number(order);
    });
  }

  /** Lets a line be done by turns with the one above it. */
  @Transactional
  Outcome join(long slotId, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slot(slotId);
    if (slot.linkOf() != null) {
      return FOLLOWS;
    }
    List<Slot> order = own(slot.sessionId());
    int at = order.indexOf(slot);
    if (at < 1) {
      return new Outcome(null, "There is no line above it to do it by turns with.");
    }
    Slot above = order.get(at - 1);
    if (begun(slot) || begun(above)) {
      return new Outcome(null, "It stays: sets of these lines are logged.");
    }
    return changed(slot.sessionId(), who, "Done by turns with the line above.", session -> {
      Groups groups = session.groups();
      int number = above.groupNo() != null ? above.groupNo() : groups.free();
      if (above.groupNo() == null) {
        session.arrange(groups.with(new Groups.Numbered(number, Group.ofLines(2), null)));
        above.place(above.position(), number);
      } else if (order.stream().filter(line -> Objects.equals(line.groupNo(), number)).count() == 2) {
        groups.numbered(number).filter(g -> g.group().equals(Group.ofLines(2)))
            .ifPresent(g -> session.arrange(groups.with(new Groups.Numbered(number, Group.ofLines(3), null))));
      }
      slot.place(slot.position(), number);
    });
  }

  /** Lets a line be done by itself again. */
  @Transactional
  Outcome leave(long slotId, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slot(slotId);
    if (slot.linkOf() != null) {
      return FOLLOWS;
    }
    if (slot.groupNo() == null || begun(slot)) {
      return new Outcome(null, slot.groupNo() == null ? "It is done by itself already." : "It stays: sets of this line are logged.");
    }
    return changed(slot.sessionId(), who, "Done by itself.", session -> {
      List<Slot> order = own(slot.sessionId());
      Integer group = slot.groupNo();
      int at = order.indexOf(slot);
      boolean first = at == 0 || !Objects.equals(order.get(at - 1).groupNo(), group);
      order.remove(slot);
      // out of the middle it goes behind the group, so that the others stay together
      int behind = at;
      while (!first && behind < order.size() && Objects.equals(order.get(behind).groupNo(), group)) {
        behind++;
      }
      slot.place(slot.position(), null);
      order.add(behind, slot);
      number(order);
    });
  }

  /** Changes rounds, rests and clock of a group. */
  @Transactional
  Outcome write(long sessionId, int number, Group group, SignedIn who) {
    turns.ofSession(sessionId);
    if (session(sessionId).groups().numbered(number).orElseThrow(NotFound::new).again() != null) {
      return FOLLOWS;
    }
    if (groupBegun(sessionId, number)) {
      return new Outcome(null, "It stays: sets of this group are logged.");
    }
    return changed(sessionId, who, "Group changed: " + group.words() + ".",
        session -> session.arrange(session.groups().with(new Groups.Numbered(number, group, null))));
  }

  /** Does a group a second time at the end of the session, such as the warm-up as cool-down. */
  @Transactional
  Outcome again(long sessionId, int number, SlotKind kind, SignedIn who) {
    turns.ofSession(sessionId);
    Groups there = session(sessionId).groups();
    if (there.all().stream().anyMatch(g -> Integer.valueOf(number).equals(g.again()))) {
      return new Outcome(null, "It is done a second time already.");
    }
    return changed(sessionId, who, "Done again at the end, as " + kind.word() + ".", session -> {
      int second = there.free();
      Group group = there.numbered(number).orElseThrow(NotFound::new).group();
      session.arrange(there.with(new Groups.Numbered(second, group, number)));
      List<Slot> all = slots.findBySessionIdOrderByPositionAscIdAsc(sessionId);
      int position = all.size() + 1;
      for (Slot first : all) {
        if (Objects.equals(first.groupNo(), number)) {
          slots.save(Slot.again(first, position++, kind, second));
        }
      }
    });
  }

  /** Takes a group apart; where it is done a second time, that goes. */
  @Transactional
  Outcome dissolve(long sessionId, int number, SignedIn who) {
    turns.ofSession(sessionId);
    if (groupBegun(sessionId, number)) {
      return new Outcome(null, "It stays: sets of this group are logged.");
    }
    return changed(sessionId, who, "Each line by itself.", session -> {
      session.arrange(session.groups().without(number));
      slots.findBySessionIdOrderByPositionAscIdAsc(sessionId).stream().filter(line -> Objects.equals(line.groupNo(), number))
          .forEach(line -> {
            if (line.linkOf() != null) {
              slots.delete(line);
            } else {
              line.place(line.position(), null);
            }
          });
    });
  }

  /** The lines done by turns with a line. */
  List<Long> mates(Slot slot) {
    return own(slot.sessionId()).stream().filter(line -> line.id() != slot.id() && Objects.equals(line.groupNo(), slot.groupNo()))
        .map(Slot::id).toList();
  }

  /** A line that was taken out is back among those it was done with; where their group ended with it, so is the group. */
  void rejoin(Slot slot, int number, Groups before, List<Long> mates) {
    TrainingSession session = session(slot.sessionId());
    Optional<Groups.Numbered> then = before.numbered(number);
    Optional<Groups.Numbered> now = session.groups().numbered(number);
    if (then.isEmpty() || now.isPresent() && !now.equals(then)) {
      return;
    }
    session.arrange(session.groups().with(then.get()));
    sessions.save(session);
    slot.place(slot.position(), number);
    own(slot.sessionId()).stream().filter(line -> mates.contains(line.id()) && line.groupNo() == null)
        .forEach(line -> line.place(line.position(), number));
  }

  private boolean groupBegun(long sessionId, int number) {
    return slots.findBySessionIdOrderByPositionAscIdAsc(sessionId).stream()
        .anyMatch(line -> Objects.equals(line.groupNo(), number) && begun(line));
  }

  /** Whether sets of a line, or of one that does it again, are logged. */
  boolean begun(Slot slot) {
    return log.countOfSlot(slot.id()) > 0 || slots.findBySessionIdOrderByPositionAscIdAsc(slot.sessionId()).stream()
        .anyMatch(line -> Objects.equals(line.linkOf(), slot.id()) && log.countOfSlot(line.id()) > 0);
  }

  /** Puts a session in order after its lines changed: groups of one line end, and what is done again says the same. */
  @Transactional
  void follow(long sessionId) {
    TrainingSession session = session(sessionId);
    endGroupsOfOne(session);
    Map<Long, Slot> byId = new HashMap<>();
    List<Slot> all = slots.findBySessionIdOrderByPositionAscIdAsc(sessionId);
    all.forEach(line -> byId.put(line.id(), line));
    for (Slot line : all) {
      Slot first = line.linkOf() == null ? null : byId.get(line.linkOf());
      Groups.Numbered own = session.groups().numbered(line.groupNo()).orElse(null);
      boolean stands = own != null && first != null && Objects.equals(first.groupNo(), own.again());
      if (line.linkOf() != null && !stands && log.countOfSlot(line.id()) == 0) {
        slots.delete(line);
      } else if (first != null && line.follow(first)) {
        slots.save(line);
      }
    }
    addNewOnes(session, slots.findBySessionIdOrderByPositionAscIdAsc(sessionId));
    int end = own(sessionId).stream().mapToInt(Slot::position).max().orElse(0);
    for (Slot line : slots.findBySessionIdOrderByPositionAscIdAsc(sessionId)) {
      if (line.linkOf() != null) {
        line.place(++end, line.groupNo());
      }
    }
    slots.flush();
  }

  private void endGroupsOfOne(TrainingSession session) {
    List<Slot> all = slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
    for (Groups.Numbered group : session.groups().all()) {
      List<Slot> members = all.stream().filter(line -> Objects.equals(line.groupNo(), group.number())).toList();
      if (group.again() == null && members.size() < 2) {
        members.forEach(line -> line.place(line.position(), null));
        session.arrange(session.groups().without(group.number()));
      }
    }
    // a line put back by an undo may name a group that ended meanwhile
    Groups stand = session.groups();
    all.stream().filter(line -> line.groupNo() != null && stand.numbered(line.groupNo()).isEmpty() && line.linkOf() == null)
        .forEach(line -> line.place(line.position(), null));
    sessions.save(session);
    slots.flush();
  }

  /** Lines that joined a group which is done twice are done twice too. */
  private void addNewOnes(TrainingSession session, List<Slot> all) {
    int position = all.size() + 1;
    for (Groups.Numbered second : session.groups().all()) {
      for (Slot first : all) {
        boolean member = second.again() != null && Objects.equals(first.groupNo(), second.again());
        if (member && all.stream().noneMatch(line -> Objects.equals(line.linkOf(), first.id()))) {
          SlotKind kind = all.stream().filter(line -> Objects.equals(line.groupNo(), second.number())).findFirst()
              .map(Slot::kind).orElse(SlotKind.COOL_DOWN);
          slots.save(Slot.again(first, position++, kind, second.number()));
        }
      }
    }
  }

  /** Undoes a change when the session still stands as it left it. */
  @Transactional
  String undo(Change change) {
    return stand(change, !change.undone(), change.after(), change.before(), Change::undo, "The session stands as before.");
  }

  /** Does an undone change again. */
  @Transactional
  String redo(Change change) {
    return stand(change, change.undone(), change.before(), change.after(), Change::redo, "The session is arranged so again.");
  }

  private String stand(Change change, boolean possible, @Nullable String now, @Nullable String then, Consumer<Change> mark, String said) {
    TrainingSession session = session(change.subjectId());
    if (!possible || !text(session).equals(now)) {
      return "That session was changed again since: undo the later change first.";
    }
    mark.accept(change);
    Arrangement before = json.readValue(Objects.requireNonNull(then), Arrangement.class);
    session.arrange(Groups.of(before.groups()));
    Map<Long, Placed> placed = new HashMap<>();
    before.placed().forEach(place -> placed.put(place.slotId(), place));
    for (Slot line : slots.findBySessionIdOrderByPositionAscIdAsc(session.id())) {
      Placed place = placed.get(line.id());
      if (place != null) {
        line.place(place.position(), place.groupNo());
      }
    }
    slots.flush();
    follow(session.id());
    issuing.planChanged(session, lifter(session));
    return said;
  }

  /** A change to a session. */
  private interface Rearranging {
    void on(TrainingSession session);
  }

  private Outcome changed(long sessionId, SignedIn who, String said, Rearranging rearranging) {
    TrainingSession session = session(sessionId);
    String before = text(session);
    rearranging.on(session);
    sessions.saveAndFlush(session);
    slots.flush();
    follow(sessionId);
    Lifter lifter = lifter(session);
    issuing.planChanged(session, lifter);
    Change change = changes.save(Change.ofSession(who.accountId(), clock.now(), lifter.id(), sessionId, before, text(session))
        .saying(DAY.format(session.day()) + ": " + Character.toLowerCase(said.charAt(0)) + said.substring(1, said.length() - 1)));
    return new Outcome(change.id(), said);
  }

  // what is done again follows from its group, so it is no part of what can be undone
  private String text(TrainingSession session) {
    List<Placed> placed = own(session.id()).stream().map(line -> new Placed(line.id(), line.position(), line.groupNo())).toList();
    return json.writeValueAsString(new Arrangement(placed, session.groups().text()));
  }

  private static void number(List<Slot> order) {
    for (int i = 0; i < order.size(); i++) {
      order.get(i).place(i + 1, order.get(i).groupNo());
    }
  }

  /** The lines that are not a second time, in their order. */
  private List<Slot> own(long sessionId) {
    return new ArrayList<>(slots.findBySessionIdOrderByPositionAscIdAsc(sessionId).stream()
        .filter(line -> line.linkOf() == null).toList());
  }

  private Slot slot(long slotId) {
    return slots.findById(slotId).orElseThrow(NotFound::new);
  }

  TrainingSession session(long sessionId) {
    return sessions.findById(sessionId).orElseThrow(NotFound::new);
  }

  private Lifter lifter(TrainingSession session) {
    return Optional.of(session.lifterId()).flatMap(lifters::findById).orElseThrow(NotFound::new);
  }
}
