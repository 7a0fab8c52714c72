package org.yarbel.web.journal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.Arrangement;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;

/**
 * As much of a lifter's plan as a change may touch, as it stood before or after it.
 *
 * @param methods what methods are set to; null where the change has nothing to do with them
 */
record PlanState(Scope.Extent extent, List<DayState> days, MethodSettings.@Nullable MethodStand methods) {
  /**
   * A line as it stands.
   *
   * @param follows the line it does a second time
   * @param origin which method wrote it
   */
  record LineState(UUID ref, SlotKind kind, String lift, String work, Details details, int position, @Nullable Integer groupNo,
      @Nullable UUID follows,
      Slot.@Nullable Origin origin, @Nullable String written, boolean forecast, @Nullable Long trainingNg, @Nullable String remark) {
    static LineState of(Slot slot, @Nullable Slot first) {
      return new LineState(slot.ref(), slot.kind(), slot.lift(), slot.work(), slot.details(), slot.position(), slot.groupNo(),
          first == null ? null : first.ref(), slot.origin(), slot.written(), slot.forecast(), slot.trainingNg(), slot.remark());
    }

    /** What a coach sees of it. */
    List<@Nullable Object> said() {
      List<@Nullable Object> said = content();
      said.add(groupNo);
      return said;
    }

    /** What is to be done, wherever it stands. */
    List<@Nullable Object> content() {
      List<@Nullable Object> content = new ArrayList<>();
      content.add(kind);
      content.add(lift);
      content.add(work);
      content.add(details);
      return content;
    }

    boolean saysAs(@Nullable LineState other) {
      return other != null && content().equals(other.content());
    }
  }

  /** A day as it stands; without a session it has no lines. */
  record DayState(LocalDate date, @Nullable UUID place, Groups groups, List<LineState> lines) {
    static DayState of(TrainingSession session, @Nullable UUID place, List<Slot> slots) {
      Map<Long, Slot> byId = slots.stream().collect(Collectors.toMap(Slot::id, Function.identity()));
      return new DayState(session.day(), place, session.groups(),
          slots.stream().map(slot -> LineState.of(slot, byId.get(slot.linkOf()))).toList());
    }

    static DayState empty(LocalDate date) {
      return new DayState(date, null, Groups.NONE, List.of());
    }

    /** Whether a coach would see no difference. */
    boolean sameAs(DayState other) {
      return groups.equals(other.groups) && Objects.equals(place, other.place) && standsAs(other);
    }

    /** Whether the lines say the same in the same order and groups. */
    boolean standsAs(DayState other) {
      return groups.equals(other.groups) && lines.stream().map(LineState::said).toList()
          .equals(other.lines.stream().map(LineState::said).toList())
          && followed().equals(other.followed());
    }

    /** Which lines are a second time, and of which, by their places. */
    private List<Integer> followed() {
      List<UUID> refs = lines.stream().map(LineState::ref).toList();
      return lines.stream().map(line -> line.follows() == null ? -1 : refs.indexOf(line.follows())).toList();
    }

    /** How its lines stand together. What is done again follows from its group, so it is no part of what can be undone. */
    Arrangement arrangement() {
      return new Arrangement(lines.stream().filter(line -> line.follows() == null)
          .map(line -> new Arrangement.Line(line.ref(), line.kind(), line.groupNo(), null)).toList(), groups);
    }

    /** Whether order and groups are the same, whatever the lines are for. */
    boolean arrangedAs(DayState other) {
      return groups.equals(other.groups) && places().equals(other.places());
    }

    private List<List<@Nullable Object>> places() {
      return arrangement().lines().stream().map(line -> {
        List<@Nullable Object> place = new ArrayList<>();
        place.add(line.ref());
        place.add(line.group());
        return place;
      }).toList();
    }

    Optional<LineState> line(UUID ref) {
      return lines.stream().filter(line -> line.ref().equals(ref)).findFirst();
    }
  }

  /** A day; one that was not looked at is empty. */
  DayState day(LocalDate date) {
    return days.stream().filter(day -> day.date().equals(date)).findFirst().orElseGet(() -> DayState.empty(date));
  }

  /** The days that another state of the same days has otherwise. */
  List<LocalDate> changed(PlanState other) {
    return days.stream().filter(day -> !day.sameAs(other.day(day.date()))).map(DayState::date).toList();
  }

  boolean sameAs(PlanState other) {
    return changed(other).isEmpty() && Objects.equals(methods, other.methods);
  }

  /** Whether methods, easy weeks or the long plan are set otherwise; lines taken out are not meant. */
  boolean setOtherwise(PlanState other) {
    return methods != null && other.methods != null && !methods.settings().equals(other.methods.settings());
  }

  /** Only what another state has otherwise: of single lines these alone, of days only those, and nothing of methods that stays. */
  PlanState without(PlanState other) {
    List<LocalDate> changed = changed(other);
    List<DayState> kept = days.stream().filter(day -> changed.contains(day.date())).map(day -> extent == Scope.Extent.LINE
        ? lines(day, other.day(day.date())) : day).toList();
    return new PlanState(extent, kept, Objects.equals(methods, other.methods) ? null : methods);
  }

  private static DayState lines(DayState day, DayState other) {
    return new DayState(day.date(), day.place(), day.groups(), day.lines().stream()
        .filter(line -> !other.line(line.ref()).map(LineState::said).filter(line.said()::equals).isPresent()).toList());
  }

  /** All lines, by their refs. */
  Map<UUID, LineState> lines() {
    Map<UUID, LineState> all = new TreeMap<>();
    days.forEach(day -> day.lines().forEach(line -> all.put(line.ref(), line)));
    return all;
  }
}
