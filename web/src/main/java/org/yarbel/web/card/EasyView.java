package org.yarbel.web.card;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.EasyWay;
import org.yarbel.core.call.LowDay;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.mass.MassUnit;

/**
 * An easier session for a low day, as the Card offers it.
 *
 * @param words how ready the lifter is, and why; empty while nothing is answered
 * @param low whether that is low
 * @param open whether one may still be chosen: nothing of the main work is lifted yet
 * @param chosen the one that was; null as planned
 * @param ways what can be chosen
 * @param table what a phone without a signal works it out with
 */
public record EasyView(String words, boolean low, boolean open, @Nullable EasyWay chosen, List<Way> ways, Table table) {
  /** One of the ways. */
  public record Way(EasyWay way, String words) {}

  /**
   * Readiness by the answers, and the sets of each way.
   *
   * @param before readiness before anything is answered
   * @param under from where on it is low
   * @param answers what each answer adds, by the question
   * @param ways load, plates, reps in words and reps of each set, by the way and the panel; of a line that stays nothing
   * @param lines the lines that a way changes, by the way
   */
  public record Table(double before, double under, Map<String, Map<String, Double>> answers, Map<String, Map<String, List<String>>> ways,
      Map<String, List<String>> lines) {}

  /** Null where nothing easier is offered, because the card knows no way or the coach has decided already. */
  static @Nullable EasyView of(CardService.Card card) {
    CardDocument document = card.document();
    LowDay day = document.lowDay();
    EasyWay chosen = card.session().easier();
    if (day == null || chosen == null && card.decided()) {
      return null;
    }
    CheckIn said = card.told().said().orElse(null);
    List<Way> ways = Stream.of(EasyWay.values())
        .filter(way -> document.slots().stream().anyMatch(slot -> slot.easier() != null && slot.easier().containsKey(way)))
        .map(way -> new Way(way, way.words(day.lighter()))).toList();
    boolean answered = said != null && said.any();
    return ways.isEmpty() ? null : new EasyView(answered ? day.with(said).words() : "", answered && day.low(said), open(card), chosen, ways,
        table(document, day, chosen));
  }

  private static boolean open(CardService.Card card) {
    return card.document().slots().stream().filter(slot -> slot.kind().mainWork())
        .noneMatch(slot -> card.logged().stream().anyMatch(row -> row.line().equals(slot.ref())));
  }

  /** Once a way is chosen the page stands by it, and another comes with a signal. */
  private static Table table(CardDocument document, LowDay day, @Nullable EasyWay chosen) {
    Map<String, Map<String, List<String>>> ways = new LinkedHashMap<>();
    Map<String, List<String>> lines = new LinkedHashMap<>();
    if (chosen == null) {
      for (EasyWay way : EasyWay.values()) {
        List<CardDocument.CardSlot> changed = document.slots().stream()
            .filter(slot -> slot.easier() != null && slot.easier().containsKey(way)).toList();
        lines.put(way.name(), changed.stream().map(slot -> slot.ref().toString()).toList());
        Map<String, List<String>> sets = new LinkedHashMap<>();
        changed.forEach(slot -> Objects.requireNonNull(Objects.requireNonNull(slot.easier()).get(way)).sets()
            .forEach(set -> sets.put(CardView.panel(slot.ref(), set.part(), set.set()), cells(set, slot, document.unit()))));
        ways.put(way.name(), sets);
      }
    }
    return new Table(day.points(), day.under(), LowDay.answers(), ways, lines);
  }

  private static List<String> cells(ResolvedSet set, CardDocument.CardSlot slot, MassUnit unit) {
    String load = set.load() == null ? "" : slot.onIt(set.load()).shownIn(unit).number();
    String side = set.perSide() == null ? "" : Loading.sideText(set.perSide(), unit);
    return List.of(load, side, SetWords.asked(set, unit), set.reps() == null ? "" : set.reps().toString());
  }

  /** Whether it stands on the card. */
  public boolean shows() {
    return chosen != null || low && open;
  }
}
