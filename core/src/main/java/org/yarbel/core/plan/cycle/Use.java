package org.yarbel.core.plan.cycle;

import java.time.DayOfWeek;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.progress.Method;

/**
 * How one lift is trained in a block.
 *
 * @param lift a key
 * @param settings what is set of the method, by the key of the parameter; the rest are its defaults
 * @param days of the week, one at least
 */
public record Use(String lift, Method method, Map<String, String> settings, Set<DayOfWeek> days) {
  public Use {
    if (days.isEmpty()) {
      throw new Refused("The lift " + lift + " needs a day of the week");
    }
    settings = Map.copyOf(settings);
    days = Collections.unmodifiableSet(EnumSet.copyOf(days));
  }

  /** The same with one thing set otherwise. */
  Use with(String key, String value) {
    Map<String, String> all = new HashMap<>(settings);
    all.put(key, value);
    return new Use(lift, method, all, days);
  }

  /** The same on other days. */
  Use on(Set<DayOfWeek> others) {
    return new Use(lift, method, settings, others);
  }
}
