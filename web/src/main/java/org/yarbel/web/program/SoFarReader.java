package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;

/** Reads what methods have written and what was lifted of it, in a fixed number of queries. */
@Component
class SoFarReader {
  private final SlotRepository slots;
  private final TrainingSessionRepository sessions;
  private final LoggedSetRepository log;
  private final LeftSetsRepository left;

  SoFarReader(SlotRepository slots, TrainingSessionRepository sessions, LoggedSetRepository log, LeftSetsRepository left) {
    this.slots = slots;
    this.sessions = sessions;
    this.log = log;
    this.left = left;
  }

  /** Only methods that remember are read from their first exposure on. */
  SoFar read(Lifter lifter, List<Progression> all, LocalDate from) {
    Map<Boolean, List<UUID>> refs = all.stream().collect(Collectors.partitioningBy(p -> p.method().rule().memory() && p.runsOn(from),
        Collectors.mapping(Progression::ref, Collectors.toList())));
    List<Slot> lines = new ArrayList<>(refs.get(true).isEmpty() ? List.of() : slots.findByProgressionIn(refs.get(true)));
    lines.addAll(slots.writtenFrom(lifter.id(), refs.get(false), Macrocycle.monday(from), from));
    Map<Long, TrainingSession> byId = sessions.findAllById(lines.stream().map(Slot::sessionId).distinct().toList()).stream()
        .collect(Collectors.toMap(TrainingSession::id, session -> session));
    Map<Long, TrainingSession> bySlot = new HashMap<>();
    lines.forEach(slot -> bySlot.put(slot.id(), byId.get(slot.sessionId())));
    Map<UUID, List<LoggedSetRow>> sets = lines.isEmpty() ? Map.of() : log.ofLines(lines.stream().map(Slot::ref).toList()).stream()
        .collect(Collectors.groupingBy(LoggedSetRow::line));
    Map<UUID, LeftSets.Why> why = sets.isEmpty() ? Map.of() : left.findByLineIn(sets.keySet()).stream()
        .collect(Collectors.toMap(LeftSets::line, LeftSets::why));
    return new SoFar(lines.stream().collect(Collectors.groupingBy(slot -> Objects.requireNonNull(slot.origin()).progression())),
        bySlot, sets, why);
  }
}
