package org.yarbel.web.card;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.SetOrder;

/** The sets of a card in their turn, a panel each, and which of them comes next. */
public record CardPanels(List<CardView.PanelView> panels) {
  static CardPanels of(CardDocument document, List<CardView.SlotView> slots) {
    return new PanelTurns(document, slots).panels();
  }

  /** The panel that is to stand open: the one asked for, else the next that waits, else the last that was lifted. */
  Optional<String> current(CardView.Wanted wanted) {
    List<String> ids = panels.stream().map(panel -> panel.set().panel()).toList();
    return ids.stream().filter(id -> id.equals(wanted.panel())).findFirst().or(() -> next(wanted.after()))
        .or(() -> panels.stream().map(CardView.PanelView::set).filter(CardView.SetView::logged).map(CardView.SetView::panel)
            .reduce((one, later) -> later))
        .or(() -> ids.stream().reduce((one, later) -> later));
  }

  /** How many sets are done or are to be done. */
  int owed() {
    return (int) panels.stream().filter(panel -> panel.set().logged() || panel.set().waits() && !panel.slot().optional()).count();
  }

  /**
   * What comes next: an attempt that is offered before the back-offs, else the first set that waits behind the one just
   * logged and then from the start, other lines that are left to the lifter last.
   */
  private Optional<String> next(@Nullable String after) {
    List<CardView.PanelView> inTurn = new ArrayList<>(panels);
    Optional<CardView.PanelView> logged = inTurn.stream().filter(p -> p.set().panel().equals(after)).findFirst();
    logged.ifPresent(at -> Collections.rotate(inTurn, -inTurn.indexOf(at) - 1));
    UUID line = logged.map(at -> at.slot().ref()).orElse(null);
    Optional<String> offered = inTurn.stream().map(CardView.PanelView::set).filter(CardView.SetView::comesFirst)
        .map(CardView.SetView::panel).findFirst();
    return offered.or(() -> inTurn.stream().filter(p -> p.set().waits() && (!p.slot().optional() || p.slot().ref().equals(line)))
        .map(p -> p.set().panel()).findFirst())
        .or(() -> inTurn.stream().filter(p -> p.set().waits()).map(p -> p.set().panel()).findFirst());
  }

  /** Puts the sets of the lines into their turns. */
  private static final class PanelTurns {
    private final List<SetOrder.Turn> turns;
    private final Map<String, CardView.SetView> sets = new HashMap<>();
    private final Map<String, CardView.SlotView> slotOf = new HashMap<>();
    private final Map<Integer, Integer> rounds = new HashMap<>();
    private final List<UUID> refs;

    PanelTurns(CardDocument document, List<CardView.SlotView> slots) {
      refs = document.slots().stream().map(CardDocument.CardSlot::ref).toList();
      for (CardView.SlotView slot : slots) {
        slot.sets().forEach(set -> {
          sets.put(set.panel(), set);
          slotOf.put(set.panel(), slot);
        });
      }
      turns = new ArrayList<>(document.turns().stream().filter(turn -> sets.containsKey(id(turn))).toList());
      Set<String> placed = turns.stream().map(this::id).collect(Collectors.toSet());
      slots.forEach(slot -> slot.sets().stream().filter(set -> !placed.contains(set.panel())).forEach(this::behind));
      turns.forEach(turn -> rounds.merge(turn.line(), turn.round(), Math::max));
    }

    CardPanels panels() {
      return new CardPanels(IntStream.range(0, turns.size()).mapToObj(this::panel).toList());
    }

    private CardView.PanelView panel(int at) {
      SetOrder.Turn turn = turns.get(at);
      CardView.SlotView slot = Objects.requireNonNull(slotOf.get(id(turn)));
      // a further attempt is no next set: it is offered where a miss calls for it
      CardView.SetView next = turns.subList(at + 1, turns.size()).stream().map(later -> Objects.requireNonNull(sets.get(id(later))))
          .filter(set -> !set.attempt()).findFirst().orElse(null);
      return new CardView.PanelView(slot, Objects.requireNonNull(sets.get(id(turn))), round(turn), turn.rest() == null ? 0 : turn.rest(),
          turn.usual(), next == null ? null : CardView.NextView.of(Objects.requireNonNull(slotOf.get(next.panel())), next),
          slot.optional() ? skip(at) : null);
    }

    private @Nullable String round(SetOrder.Turn turn) {
      int all = rounds.get(turn.line());
      return turn.round() == 0 || all == 1 ? null : "round " + turn.round() + " of " + all;
    }

    private @Nullable String skip(int at) {
      return turns.subList(at, turns.size()).stream().filter(later -> later.line() != turns.get(at).line()).map(this::id)
          .findFirst().orElse(null);
    }

    /** A further attempt comes behind the last set of its part. */
    private void behind(CardView.SetView set) {
      for (int i = turns.size() - 1; i >= 0; i--) {
        SetOrder.Turn turn = turns.get(i);
        if (ref(turn).equals(set.ref()) && turn.part() == set.part()) {
          turns.add(i + 1, new SetOrder.Turn(turn.line(), set.part(), set.set(), turn.round(), turn.rest(), turn.usual()));
          return;
        }
      }
    }

    private UUID ref(SetOrder.Turn turn) {
      return refs.get(turn.line() - 1);
    }

    private String id(SetOrder.Turn turn) {
      return CardView.panel(ref(turn), turn.part(), turn.set());
    }
  }
}
