package org.yarbel.core.plan.cycle;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Count;

/** What became of each block of a plan, a sentence and a reason each. */
final class Differences {
  private static final String AS_SET = "As you set it.";

  private final Macrocycle now;
  private final String cause;
  private final Map<Integer, Integer> own;
  private final boolean edited;

  /**
   * The differences to what a plan becomes.
   *
   * @param cause why anything changes
   * @param set what somebody has set themselves, before anything was fitted; null for nothing
   */
  Differences(Macrocycle now, String cause, @Nullable Macrocycle set) {
    this.now = now;
    this.cause = cause;
    this.edited = set != null;
    this.own = new HashMap<>();
    if (set != null) {
      set.blocks().forEach(block -> own.put(block.no(), block.weeks()));
    }
  }

  /** What changed since a plan stood so, in the order of its blocks, with what is new at the end. */
  List<Changed> from(Macrocycle was) {
    Map<Integer, Block> then = new HashMap<>();
    now.blocks().forEach(block -> then.put(block.no(), block));
    List<Changed> changes = new ArrayList<>();
    for (Block block : was.blocks()) {
      Block other = then.get(block.no());
      if (other == null) {
        changes.add(gone(block));
      } else if (other.weeks() != block.weeks()) {
        changes.add(resized(block, other));
      }
    }
    now.blocks().stream().filter(block -> was.blocks().stream().noneMatch(old -> old.no() == block.no())).map(this::added)
        .forEach(changes::add);
    return changes;
  }

  private Changed gone(Block block) {
    boolean waits = now.parked().stream().anyMatch(parked -> parked.purpose() == block.purpose());
    String reason = waits ? "It comes back when there is a date." : Reasons.out(block.purpose());
    return new Changed(name(block) + (waits ? ": parked" : ": out"), edited && !own.containsKey(block.no()) ? AS_SET
        : cause + " " + reason);
  }

  private Changed resized(Block block, Block other) {
    Integer set = own.get(block.no());
    String reason = other.weeks() < block.weeks() ? Reasons.shorter(block.purpose()) : Reasons.longer(block.purpose());
    return new Changed(Refit.title(block.purpose()) + ": " + block.weeks() + " → " + Count.of(other.weeks(), "week"),
        set != null && set == other.weeks() ? AS_SET : cause + " " + reason);
  }

  private Changed added(Block block) {
    return new Changed(name(block) + ": new", own.containsKey(block.no()) ? AS_SET : cause + " " + Reasons.in(block.purpose()));
  }

  private static String name(Block block) {
    return Refit.title(block.purpose()) + ", " + Count.of(block.weeks(), "week");
  }
}
