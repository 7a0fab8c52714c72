package org.yarbel.web.card;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.EasyWay;
import org.yarbel.core.call.LowDay;
import org.yarbel.core.card.BackOffTable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.CoachWord;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.log.NormalGear;
import org.yarbel.core.log.WornFrom;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SetOrder;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.track.SpeedTable;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;

/**
 * What an issued card holds: everything a phone needs to show and log the session without a network, and everything
 * the server needs to work it out again as it stood. It is stored as JSON and never changed.
 *
 * @param number of the card, from 1; 0 for a look ahead that was not issued
 * @param kit of older cards, which had one for all lines; null since every line has its own
 * @param numbers the maxes of all the lifter's lifts, by key, as they stood
 * @param numbersOn the day of the newest log each estimate knew, by key
 * @param order the sets in the order they are lifted, with the rest after each; null on cards of old: line by line
 * @param lowDay what the card needs to see that its day is a low one; null on older cards, and where nothing easier is offered
 * @param chart percent(reps 1–12, RPE 10–6 in halves), rows by RPE, null beyond 15 reps to failure
 */
public record CardDocument(
    int number,
    LocalDate day,
    MassUnit unit,
    @Nullable Mass bodyMass,
    @Nullable Kit kit,
    Map<String, MaxNumbers> numbers,
    Map<String, LocalDate> numbersOn,
    List<CardSlot> slots,
    List<List<@Nullable Double>> chart,
    @Nullable List<SetOrder.Turn> order,
    @Nullable LowDay lowDay) {
  /**
   * What of lift and lifter decides what a line may ask and what is to be minded.
   *
   * @param wholeMax of a partial: the max of the whole lift, which its loads are drawn against; else null
   */
  public record Facts(Movement movement, boolean partial, @Nullable Level level, @Nullable Mass wholeMax) {
    static final Facts UNKNOWN = new Facts(Movement.OTHER, false, null, null);
  }

  /** What is said beside the work; null where nothing is. */
  public record Notes(boolean optional, @Nullable String bar, @Nullable String gear, @Nullable Mass gearFrom, @Nullable String reason,
      @Nullable String cues, @Nullable String mind) {
    static @Nullable Notes of(Details details) {
      Notes notes = new Notes(details.optional(), details.bar(), details.gearWords(), details.gearFrom(), details.reason(),
          details.cues(), details.mind());
      return notes.equals(new Notes(false, null, null, null, null, null, null)) ? null : notes;
    }
  }

  /** The group a line is done in, by its number in the session. */
  public record InGroup(int number, Group group) {}

  /**
   * One line of work with its sets as planned.
   *
   * @param ref of the line, which it keeps wherever it goes
   * @param liftName as it was called
   * @param kit the bar it goes on with its plates; null where nothing does
   * @param masses of the things it can be lifted with as they are; null where plates go on
   * @param stretch of the lifter's own effort chart; null for 1
   * @param facts what else the line was worked out with; null on cards of old
   * @param gear what is normally worn for it; null where nobody knows, and on cards of old
   * @param speeds at which speeds the bar came before, by rating; null where nothing was measured
   * @param stamps what stands on those that weigh something else; null for none
   * @param notes what is said beside the work; null where nothing is
   * @param group the group it is done in; null for none
   * @param problem why the line cannot be worked out; null when it can
   * @param last the heaviest load of the lift's last day; null without one
   * @param easier the line as it would be on a low day; null where it stays
   */
  public record CardSlot(
      UUID ref,
      SlotKind kind,
      String lift,
      String work,
      Basis basis,
      List<RampStep> ramp,
      List<ResolvedSet> sets,
      List<BackOffTable> tables,
      List<Caution> cautions,
      @Nullable String problem,
      @Nullable Mass last,
      @Nullable String liftName,
      @Nullable Kit kit,
      @Nullable List<Mass> masses,
      @Nullable Double stretch,
      @Nullable Facts facts,
      @Nullable Notes notes,
      @Nullable InGroup group,
      @Nullable List<PlaceKit.Stamp> stamps,
      @Nullable List<WornFrom> gear,
      @Nullable List<SpeedTable.Row> speeds,
      @Nullable Map<EasyWay, Eased> easier) {
    /** The line as it is in an easier session. */
    CardSlot in(EasyWay way) {
      Eased other = easier == null ? null : easier.get(way);
      return other == null ? this : new CardSlot(ref, kind, lift, other.work(), basis, other.ramp(), other.sets(), other.tables(),
          cautions, problem, last, liftName, kit, masses, stretch, facts, notes, group, stamps, gear, speeds, easier);
    }

    /** At which speeds the bar came before, by rating. */
    List<SpeedTable.Row> barSpeeds() {
      return speeds == null ? List.of() : speeds;
    }

    /** What is normally worn for it, by the load. */
    List<WornFrom> worn() {
      return gear == null ? List.of() : gear;
    }

    /** What a person reads. */
    String name() {
      return liftName == null ? Catalogue.standard().ofKey(lift).map(Lift::name).orElse(lift) : liftName;
    }

    List<PlaceKit.Stamp> stamped() {
      return stamps == null ? List.of() : stamps;
    }

    /** What stands on a thing of this mass; the mass itself where nothing else does. */
    Mass onIt(Mass mass) {
      return stamped().stream().filter(stamp -> stamp.trueMass().hits(mass)).map(PlaceKit.Stamp::stamped).findFirst().orElse(mass);
    }

    EffortChart chart() {
      return stretch == null ? EffortChart.HOUSE : new EffortChart(EffortChart.HOUSE.curve(), stretch);
    }
  }

  /** What a line becomes on a low day. */
  public record Eased(String work, List<RampStep> ramp, List<ResolvedSet> sets, List<BackOffTable> tables) {}

  /** The same card under another number. */
  CardDocument numbered(int other) {
    return new CardDocument(other, day, unit, bodyMass, kit, numbers, numbersOn, slots, chart, order, lowDay);
  }

  /** The card as it is in an easier session; as it was issued for null. */
  CardDocument in(@Nullable EasyWay way) {
    if (way == null) {
      return this;
    }
    List<CardSlot> eased = slots.stream().map(slot -> slot.in(way)).toList();
    return new CardDocument(number, day, unit, bodyMass, kit, numbers, numbersOn, eased, chart, order(eased), lowDay);
  }

  /** What loads a line; empty where nothing does. */
  Optional<PlaceKit.Loaded> loaded(CardSlot slot) {
    if (slot.kit() != null) {
      return Optional.of(new PlaceKit.Loaded.OnBar(slot.kit()));
    }
    if (slot.masses() != null) {
      return Optional.of(new PlaceKit.Loaded.Fixed(slot.masses(), unit, slot.stamped()));
    }
    boolean onBar = kit != null && Catalogue.standard().ofKey(slot.lift()).filter(Lift::onBar).isPresent();
    return onBar ? Optional.of(new PlaceKit.Loaded.OnBar(kit)) : Optional.empty();
  }

  /**
   * A line as it was issued.
   *
   * @param basisMax what its loads are drawn against; null without one
   */
  public record DocumentLine(ResolvedLine resolved, @Nullable Mass basisMax) {}

  /** What the loads of a line are drawn against: the max its percentages are of, of a partial that of the whole lift. */
  @Nullable Mass scale(CardSlot slot) {
    return slot.facts() != null && slot.facts().wholeMax() != null ? slot.facts().wholeMax()
        : numbers.getOrDefault(slot.lift(), MaxNumbers.NONE).of(slot.basis());
  }

  /** The lines that could be worked out, by ref. */
  Map<UUID, DocumentLine> lines() {
    Map<UUID, DocumentLine> lines = new HashMap<>();
    for (CardSlot slot : slots) {
      if (slot.problem() == null) {
        lines.put(slot.ref(), new DocumentLine(new ResolvedLine(slot.work(), slot.ramp(), slot.sets(), null, slot.cautions()),
            scale(slot)));
      }
    }
    return lines;
  }

  /** The sets in their turns. */
  List<SetOrder.Turn> turns() {
    return order != null ? order : order(slots);
  }

  private static List<SetOrder.Turn> order(List<CardSlot> slots) {
    return SetOrder.of(slots.stream().map(slot -> new SetOrder.Line(slot.sets(),
        slot.group() == null ? null : Long.valueOf(slot.group().number()), slot.group() == null ? null : slot.group().group(),
        slot.kind() != SlotKind.MAIN && slot.kind() != SlotKind.SECOND)).toList());
  }

  /**
   * What is known of a lifter beside the numbers.
   *
   * @param numbersOn the day of the newest log each estimate knew, by the key of the lift
   * @param last the heaviest load of each lift's last day, by its key
   * @param gear what they normally wear
   * @param speeds at which speeds the bar came before, by the key of the lift
   * @param lowDay what is known of the day before it is asked about; null where nothing easier is offered
   */
  public record Known(Map<String, LocalDate> numbersOn, Map<String, Mass> last, NormalGear gear,
      Map<String, List<SpeedTable.Row>> speeds, @Nullable LowDay lowDay) {}

  /**
   * Works a session out as a card.
   *
   * @param known what else is known of the lifter
   * @param kept lines that stay as they were issued before, by their ref
   */
  public static CardDocument of(int number, LocalDate day, LifterContext context, Known known,
      List<Slot> plan, Groups groups, Map<UUID, CardSlot> kept) {
    Map<Long, SessionResolver.Worked> worked = PlannedLines.session(context, plan, groups);
    List<CardSlot> slots = new ArrayList<>();
    for (Slot slot : plan) {
      CardSlot keep = kept.get(slot.ref());
      slots.add(keep != null ? keep
          : cardSlot(slot, groups, context, Objects.requireNonNull(worked.get(slot.id())), known));
    }
    return new CardDocument(number, day, context.unit(), context.bodyMass(), null, numbers(context, plan), known.numbersOn(),
        slots, EffortChart.HOUSE.rows(12), order(slots), known.lowDay());
  }

  private static CardSlot cardSlot(Slot slot, Groups groups, LifterContext context, SessionResolver.Worked worked,
      Known known) {
    Lift lift = context.lift(slot.lift());
    Mass last = known.last().get(slot.lift());
    List<SpeedTable.Row> measured = known.speeds().getOrDefault(lift.key(), List.of());
    List<SpeedTable.Row> speeds = measured.isEmpty() ? null : measured;
    List<WornFrom> gear = worn(slot.details(), known.gear().of(lift));
    PlaceKit.Loaded loaded = context.kit().of(lift, slot.details().bar()).orElse(null);
    Kit kit = loaded instanceof PlaceKit.Loaded.OnBar onBar ? onBar.kit() : null;
    List<Mass> masses = loaded instanceof PlaceKit.Loaded.Fixed fixed ? fixed.masses() : null;
    List<PlaceKit.Stamp> stamps = loaded instanceof PlaceKit.Loaded.Fixed fixed && !fixed.stamps().isEmpty() ? fixed.stamps() : null;
    Group group = groups.group(slot.groupNo());
    InGroup inGroup = group == null || slot.groupNo() == null ? null : new InGroup(slot.groupNo(), group);
    Resolver.Request request = worked.request();
    ResolvedLine line = worked.line();
    Optional<String> word = request == null || slot.details().agreed() ? Optional.empty()
        : CoachWord.neededFor(lift, request.line().line(), request.level());
    if (request == null || line == null || word.isPresent()) {
      String problem = word.orElseGet(() -> Objects.requireNonNull(worked.wrong()).problems().get(0).message());
      return new CardSlot(slot.ref(), slot.kind(), lift.key(), slot.work(), context.basis(lift), List.of(), List.of(), List.of(),
          List.of(), problem, last, lift.name(), kit, masses, null, null, Notes.of(slot.details()), inGroup, stamps, gear, speeds,
          null);
    }
    double stretch = request.chart().stretch();
    return new CardSlot(slot.ref(), slot.kind(), lift.key(), line.notation(), context.basis(lift), line.ramp(),
        line.sets(), BackOffTable.of(request), line.cautions(), null, last, lift.name(), kit, masses,
        stretch == 1 ? null : Double.valueOf(stretch), new Facts(request.movement(), request.partial(), request.level(),
            request.partial() ? context.drawnAgainst(lift) : null),
        Notes.of(slot.details()), inGroup, stamps, gear, speeds, slot.kind().mainWork() ? eased(request, known.lowDay()) : null);
  }

  private static @Nullable Map<EasyWay, Eased> eased(Resolver.Request request, @Nullable LowDay lowDay) {
    if (lowDay == null) {
      return null;
    }
    Map<EasyWay, Eased> ways = new EnumMap<>(EasyWay.class);
    for (EasyWay way : EasyWay.values()) {
      way.of(request.line().line(), request.chart(), lowDay.lighter()).flatMap(line -> eased(request, line))
          .ifPresent(eased -> ways.put(way, eased));
    }
    return ways.isEmpty() ? null : ways;
  }

  /** Empty where such a line could not be written or lifted. */
  private static Optional<Eased> eased(Resolver.Request request, WorkLine line) {
    try {
      Resolver.Request other = request.withLine(WorkLine.parse(line.toString()));
      ResolvedLine worked = Resolver.resolve(other);
      return Optional.of(new Eased(line.toString(), worked.ramp(), worked.sets(), BackOffTable.of(other)));
    } catch (NotationException cannot) {
      return Optional.empty();
    }
  }

  /** What goes on for a line: what is written for it, else what is normal. */
  private static @Nullable List<WornFrom> worn(Details details, List<WornFrom> normal) {
    List<WornFrom> own = details.gear() == null ? normal : details.pieces().stream().map(piece -> new WornFrom(piece, null)).toList();
    Mass from = details.gearFrom();
    List<WornFrom> worn = from == null ? own : own.stream().map(piece -> new WornFrom(piece.gear(), from)).toList();
    return worn.isEmpty() ? null : worn;
  }

  private static Map<String, MaxNumbers> numbers(LifterContext context, List<Slot> plan) {
    Map<String, MaxNumbers> numbers = new HashMap<>();
    context.known().forEach((key, known) -> numbers.put(key, known.numbers()));
    for (Slot slot : plan) {
      try {
        // a number worked out by a ratio for one line is not lost to the next, which does without it
        context.numbersFor(context.lift(slot.lift()), WorkLine.parse(slot.work())).forEach((lift, own) ->
            numbers.merge(lift, own, (before, now) -> now.estimated() == null ? before : now));
      } catch (NotationException wrong) {
        // its line says so
      }
    }
    return numbers;
  }
}
