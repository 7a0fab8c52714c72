package org.yarbel.core.notation;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One part of a line: work, how heavy, how hard, and its options.
 *
 * @param options at most one of a kind, in the order of the normal form
 */
public record Part(Work work, @Nullable Load load, @Nullable RpeTarget rpe, List<Option> options) {
  public Part {
    options = options.stream().sorted(Comparator.comparing(Option::kind)).toList();
  }

  /** Whether the plan itself says a load, so that a later part can be lighter than it; a warm-up never does. */
  public boolean loaded() {
    return switch (work.kind()) {
      case WARM -> false;
      case BUILD, MAX, SERIES -> true;
      default -> load != null || rpe != null && work.kind().loadedByRpe();
    };
  }

  /** Whether chains, bands or reverse bands hang on the bar. */
  public boolean changesLoadOnTheWay() {
    return options.stream().anyMatch(option -> option.kind().changesLoadOnTheWay());
  }

  /** The option of this type, when it is written. */
  public <T extends Option> Optional<T> option(Class<T> type) {
    return options.stream().filter(type::isInstance).map(type::cast).findFirst();
  }

  @Override
  public String toString() {
    StringBuilder text = new StringBuilder(work.toString());
    if (load != null) {
      text.append(' ').append(load);
    }
    if (rpe != null) {
      text.append(' ').append(rpe);
    }
    options.forEach(option -> text.append(' ').append(option));
    return text.toString();
  }
}
