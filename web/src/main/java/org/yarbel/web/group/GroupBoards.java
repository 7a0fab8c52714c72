package org.yarbel.web.group;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.Turns;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.NewLine;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Groups of lifters, and lines written into the weeks of all of them, each with their own loads. */
@Service
public class GroupBoards {
  /** More would not fit beside each other, nor on one screen. */
  static final int MOST_MEMBERS = 24;

  private final LifterGroupRepository groups;
  private final LifterGroupMemberRepository members;
  private final LifterRepository lifters;
  private final PlanService plan;
  private final Batches batches;
  private final Sessions sessions;
  private final Undo undo;
  private final LifterContexts contexts;
  private final Turns turns;

  GroupBoards(LifterGroupRepository groups, LifterGroupMemberRepository members, LifterRepository lifters, PlanService plan,
      Batches batches, Sessions sessions, Undo undo, LifterContexts contexts, Turns turns) {
    this.turns = turns;
    this.undo = undo;
    this.contexts = contexts;
    this.groups = groups;
    this.members = members;
    this.lifters = lifters;
    this.plan = plan;
    this.batches = batches;
    this.sessions = sessions;
  }

  /** A group with who is in it. */
  public record Listed(long id, String name, List<String> members) {}

  /** All groups with who is in them. */
  @Transactional(readOnly = true)
  public List<Listed> all() {
    return all(lifters.findAll());
  }

  /** The same where the lifters are read already; whoever is not among them is not named. */
  @Transactional(readOnly = true)
  public List<Listed> all(Collection<Lifter> known) {
    Map<Long, String> names = new HashMap<>();
    known.forEach(lifter -> names.put(lifter.id(), lifter.name()));
    Map<Long, Listed> byGroup = new LinkedHashMap<>();
    for (LifterGroupRepository.Membership one : groups.memberships()) {
      Listed group = byGroup.computeIfAbsent(one.getId(), id -> new Listed(id, one.getName(), new ArrayList<>()));
      Optional.ofNullable(one.getLifterId()).map(names::get).ifPresent(group.members()::add);
    }
    byGroup.values().forEach(group -> group.members().sort(Comparator.naturalOrder()));
    return List.copyOf(byGroup.values());
  }

  LifterGroup group(long id) {
    return groups.findById(id).orElseThrow(NotFound::new);
  }

  /** The lifters of a group, by name. */
  @Transactional(readOnly = true)
  public List<Lifter> lifters(long groupId) {
    group(groupId);
    List<Lifter> all = new ArrayList<>(lifters.findAllById(members.findByGroupId(groupId).stream().map(LifterGroupMember::lifterId)
        .toList()));
    all.sort(Comparator.comparing(Lifter::name));
    return all;
  }

  /** Makes a group, or says what is wrong with it. */
  @Transactional
  public Optional<String> save(Long id, String name, Set<Long> lifterIds) {
    String text = name.strip();
    if (text.isEmpty() || text.length() > 80) {
      return Optional.of("Write a name of 1 to 80 characters.");
    }
    if (groups.findByName(text).filter(other -> id == null || other.id() != id).isPresent()) {
      return Optional.of("There is a group '" + text + "' already.");
    }
    if (lifterIds.isEmpty() || lifterIds.size() > MOST_MEMBERS) {
      return Optional.of("Tick 1 to " + MOST_MEMBERS + " lifters.");
    }
    if (lifters.findAllById(lifterIds).size() != lifterIds.size()) {
      throw new NotFound();
    }
    LifterGroup group = id == null ? new LifterGroup(text) : group(id);
    group.rename(text);
    groups.saveAndFlush(group);
    members.deleteAll(members.findByGroupId(group.id()));
    members.flush();
    lifterIds.forEach(lifter -> members.save(new LifterGroupMember(group.id(), lifter)));
    return Optional.empty();
  }

  /**
   * What came of a change for several lifters.
   *
   * @param sentence for how many
   * @param changes to undo it by
   */
  record GroupWritten(String sentence, List<Long> changes) {}

  /** Writes a line for all of a group on a day, as far as it can be worked out for them. */
  @Transactional
  GroupWritten add(long groupId, LocalDate day, SlotKind kind, Lift lift, String work, SignedIn who) {
    List<Long> changes = new ArrayList<>();
    List<String> left = new ArrayList<>();
    List<Lifter> all = lifters(groupId);
    turns.ofLifters(all.stream().map(Lifter::id).toList());
    Map<Long, LifterContext> byLifter = contexts.of(all, Map.of());
    for (Lifter lifter : all) {
      Optional<String> wrong = wrong(byLifter.get(lifter.id()), lift, work, Details.NONE);
      if (wrong.isPresent()) {
        left.add(lifter.name() + ": " + wrong.get());
      } else {
        batches.add(lifter, List.of(NewLine.of(day, kind, lift.key(), work)), who).change().ifPresent(changes::add);
      }
    }
    undo.together(changes, groupId);
    return new GroupWritten("Written for " + changes.size() + " of " + all.size() + ", each with their own loads." + left(left), changes);
  }

  private static String left(List<String> left) {
    return left.isEmpty() ? "" : " Not written for " + String.join(" ", left);
  }

  private static Optional<String> wrong(LifterContext context, Lift lift, String work, Details details) {
    NotationException wrong = new SessionResolver(context).alone(new PlannedLine(lift, work, details.beside(), 1, null)).wrong();
    return wrong == null ? Optional.empty() : Optional.of(wrong.problems().get(0).message());
  }

  /** Changes a line that stands the same for several of a group; lines begun stay, and those that could not be worked out. */
  @Transactional
  GroupWritten change(long groupId, LocalDate day, String lift, String was, String work, Lift named, SignedIn who) {
    List<Long> changes = new ArrayList<>();
    List<String> left = new ArrayList<>();
    int begun = 0;
    List<Lifter> all = lifters(groupId);
    turns.ofLifters(all.stream().map(Lifter::id).toList());
    Map<Long, LifterContext> byLifter = contexts.of(all, Map.of());
    for (Lifter lifter : all) {
      for (Slot slot : sessions.days(lifter.id(), day, day).getOrDefault(day, List.of())) {
        if (slot.lift().equals(lift) && slot.work().equals(was)) {
          Optional<String> wrong = wrong(byLifter.get(lifter.id()), named, work, slot.details());
          if (wrong.isPresent()) {
            left.add(lifter.name() + ": " + wrong.get());
            continue;
          }
          PlanService.EditOutcome outcome = plan.write(slot.id(), slot.version(), PlanService.TypedWork.of(slot.kind(), named, work), who);
          if (outcome instanceof PlanService.EditOutcome.Done done) {
            changes.add(done.changeId());
          }
          begun += outcome instanceof PlanService.EditOutcome.Begun ? 1 : 0;
        }
      }
    }
    undo.together(changes, groupId);
    return new GroupWritten("Changed for " + changes.size() + "." + (begun == 0 ? ""
        : " " + begun + " have begun theirs: those stay.") + left(left), changes);
  }
}
