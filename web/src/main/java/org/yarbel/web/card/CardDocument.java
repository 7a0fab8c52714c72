package org.yarbel.web.card;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.BackOffTable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.plan.LifterContext;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotKind;

/**
 * What an issued card holds: everything a phone needs to show and log the session without a network, and everything
 * the server needs to work it out again as it stood. It is stored as JSON and never changed.
 *
 * @param number of the card, from 1; 0 for a look ahead that was not issued
 * @param kit of older cards, which had one for all lines; null since every line has its own
 * @param numbers the maxes of all the lifter's lifts, by key, as they stood
 * @param numbersOn the day of the newest log each estimate knew, by key
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
    List<List<@Nullable Double>> chart) {
  /**
   * One line of work with its sets as planned.
   *
   * @param liftName as it was called
   * @param kit the bar it goes on with its plates; null where nothing does
   * @param masses of the things it can be lifted with as they are; null where plates go on
   * @param stretch of the lifter's own effort chart; null for 1
   * @param problem why the line cannot be worked out; null when it can
   * @param last the heaviest load of the lift's last day; null without one
   */
  public record CardSlot(
      long slotId,
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
      @Nullable Double stretch) {
    /** What a person reads. */
    String name() {
      return liftName == null ? Catalogue.standard().ofKey(lift).map(Lift::name).orElse(lift) : liftName;
    }

    EffortChart chart() {
      return stretch == null ? EffortChart.HOUSE : new EffortChart(EffortChart.HOUSE.curve(), stretch);
    }
  }

  /** What loads a line; empty where nothing does. */
  Optional<PlaceKit.Loaded> loaded(CardSlot slot) {
    if (slot.kit() != null) {
      return Optional.of(new PlaceKit.Loaded.OnBar(slot.kit()));
    }
    if (slot.masses() != null) {
      return Optional.of(new PlaceKit.Loaded.Fixed(slot.masses(), unit));
    }
    boolean onBar = kit != null && Catalogue.standard().ofKey(slot.lift()).filter(Lift::onBar).isPresent();
    return onBar ? Optional.of(new PlaceKit.Loaded.OnBar(kit)) : Optional.empty();
  }

  /**
   * A line as it was issued.
   *
   * @param basisMax the number its percentages were of; null without one
   */
  public record Line(ResolvedLine resolved, @Nullable Mass basisMax) {}

  /** The lines that could be worked out, by slot. */
  Map<Long, Line> lines() {
    Map<Long, Line> lines = new HashMap<>();
    for (CardSlot slot : slots) {
      if (slot.problem() == null) {
        lines.put(slot.slotId(), new Line(new ResolvedLine(slot.work(), slot.ramp(), slot.sets(), null, slot.cautions()),
            numbers.getOrDefault(slot.lift(), MaxNumbers.NONE).of(slot.basis())));
      }
    }
    return lines;
  }

  /**
   * Works a session out as a card.
   *
   * @param last the heaviest load of each lift's last day, by its key
   * @param kept lines that stay as they were issued before, by slot
   */
  public static CardDocument of(int number, LocalDate day, LifterContext context, Map<String, LocalDate> numbersOn,
      List<Slot> plan, Map<String, Mass> last, Map<Long, CardSlot> kept) {
    List<CardSlot> slots = new ArrayList<>();
    for (Slot slot : plan) {
      CardSlot keep = kept.get(slot.id());
      slots.add(keep != null ? keep : cardSlot(slot, context, last.get(slot.lift())));
    }
    return new CardDocument(number, day, context.unit(), context.bodyMass(), null, numbers(context, plan), numbersOn,
        slots, EffortChart.HOUSE.rows(12));
  }

  private static CardSlot cardSlot(Slot slot, LifterContext context, @Nullable Mass last) {
    Lift lift = context.lift(slot.lift());
    PlaceKit.Loaded loaded = context.kit().of(lift).orElse(null);
    Kit kit = loaded instanceof PlaceKit.Loaded.OnBar onBar ? onBar.kit() : null;
    List<Mass> masses = loaded instanceof PlaceKit.Loaded.Fixed fixed ? fixed.masses() : null;
    try {
      Resolver.Request request = context.request(lift, WorkLine.parse(slot.work()));
      ResolvedLine line = context.withRatio(lift, request, Resolver.resolve(request));
      double stretch = request.chart().stretch();
      return new CardSlot(slot.id(), slot.kind(), lift.key(), slot.work(), context.basis(lift), line.ramp(),
          line.sets(), BackOffTable.of(request), line.cautions(), null, last, lift.name(), kit, masses,
          stretch == 1 ? null : Double.valueOf(stretch));
    } catch (NotationException wrong) {
      return new CardSlot(slot.id(), slot.kind(), lift.key(), slot.work(), context.basis(lift), List.of(),
          List.of(), List.of(), List.of(), wrong.problems().get(0).message(), last, lift.name(), kit, masses, null);
    }
  }

  private static Map<String, MaxNumbers> numbers(LifterContext context, List<Slot> plan) {
    Map<String, MaxNumbers> numbers = new HashMap<>();
    context.known().forEach((key, known) -> numbers.put(key, known.numbers()));
    for (Slot slot : plan) {
      try {
        numbers.putAll(context.numbersFor(context.lift(slot.lift()), WorkLine.parse(slot.work())));
      } catch (NotationException wrong) {
        // its line says so
      }
    }
    return numbers;
  }
}
