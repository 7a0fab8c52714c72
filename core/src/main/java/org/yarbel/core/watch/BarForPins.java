package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.lift.Variation;
import org.yarbel.core.notation.Option;

/** Pins or chains on a bar that is not marked for them, or a bar that does not fit the safeties. */
final class BarForPins implements Check {
  @Override
  public String key() {
    return "bar-for-pins";
  }

  @Override
  public String title() {
    return "pins, chains and safeties on the wrong bar";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    for (WatchedLine line : week.lines()) {
      if (line.bar() == null) {
        continue;
      }
      boolean pins = line.counted().lift().variation().traits().containsKey(Variation.Trait.PINS);
      boolean chains = line.work().parts().stream().anyMatch(part -> part.option(Option.Chains.class).isPresent());
      if ((pins || chains) && !line.bar().pinsAllowed()) {
        findings.add(at(Severity.STOP, line.counted(), "The " + line.bar().name()
            + " is not ticked under “Pins and chains” in the kit room: choose another bar under More.", null));
      }
      Movement movement = line.counted().lift().movement();
      if (!line.bar().fitsSafeties() && (movement == Movement.SQUAT || movement == Movement.BENCH) && line.counted().hard()) {
        findings.add(at(Severity.STOP, line.counted(), "The " + line.bar()
            .name() + " does not fit the safeties, and this is hard: another bar, or spotters on both sides.", null));
      }
    }
    return findings;
  }
}
