package org.yarbel.web.records;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.records.DayOrder;
import org.yarbel.core.records.Guess;
import org.yarbel.core.records.Layout;
import org.yarbel.core.records.Meaning;

/**
 * How a table is read, as it is kept while a coach decides about it.
 *
 * @param unclear what still has to be asked
 * @param lifts by what the table calls them, in small letters; {@link #LEFT} for what is left out
 */
record Reading(List<Meaning> columns, List<String> heads, DayOrder order, boolean commas, MassUnit unit, Set<Guess.Question> unclear,
    Map<String, String> lifts) {
  /** Stands for a lift that is left out. */
  static final String LEFT = "-";

  static Reading of(Guess guess) {
    Layout layout = guess.layout();
    return new Reading(layout.columns(), layout.heads(), layout.order(), layout.commas(), layout.unit(), guess.unclear(), Map.of());
  }

  Layout layout() {
    return new Layout(columns, heads, order, commas, unit);
  }

  /** How a lift is looked for. */
  static String key(String called) {
    return called.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
  }

  /** The same with other lifts beside. */
  Reading with(Map<String, String> more) {
    Map<String, String> all = new HashMap<>(lifts);
    all.putAll(more);
    return new Reading(columns, heads, order, commas, unit, unclear, all);
  }
}
