package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Refused;

/**
 * What a coach does to the blocks of a plan. Weeks that are done stay; with a contest ahead the other blocks give or take
 * what one takes or gives, so that the last week is still the contest's.
 */
public final class Editing {
  private final Macrocycle plan;
  private final LocalDate from;

  /**
   * Edits a plan.
   *
   * @param from the first Monday that may change
   */
  public Editing(Macrocycle plan, LocalDate from) {
    this.plan = plan;
    this.from = from;
  }

  /** Makes a block longer or shorter by so many weeks. */
  public Refit stretch(int no, int by) {
    int at = at(no);
    Block block = plan.blocks().get(at);
    int behind = behind(at);
    if (block.weeks() + by < Math.max(1, behind)) {
      throw new Refused(behind > 0 ? shorter(behind)
          : "A block has one week at the least: take it out instead");
    }
    if (block.weeks() + by > Block.MOST_WEEKS) {
      throw new Refused("A block has at most " + Block.MOST_WEEKS + " weeks");
    }
    return with(replaced(at, List.of(block.withWeeks(block.weeks() + by))), no);
  }

  private static String shorter(int behind) {
    return Count.of(behind, "week") + (behind == 1 ? " of it is" : " of it are") + " done: it cannot be shorter";
  }

  /** Makes two blocks of one, the first with so many weeks. */
  public Refit split(int no, int first) {
    int at = at(no);
    Block block = plan.blocks().get(at);
    if (first < 1 || first >= block.weeks()) {
      throw new Refused(block.weeks() == 1 ? "A block of one week cannot be split"
          : "The first part must have 1 to " + (block.weeks() - 1) + " weeks but was to have " + first);
    }
    return with(replaced(at, block.split(first, plan.free())), null);
  }

  /** Makes one block of this and the next. */
  public Refit merge(int no) {
    int at = at(no);
    if (at + 1 >= plan.blocks().size()) {
      throw new Refused("There is no block behind it to merge with");
    }
    List<Block> all = new ArrayList<>(plan.blocks());
    all.set(at, all.get(at).merged(all.remove(at + 1)));
    return with(all, no);
  }

  /** Moves a block by so many places, not before what is done. */
  public Refit move(int no, int by) {
    int at = at(no);
    int to = at + by;
    if (behind(at) > 0) {
      throw new Refused("It has begun: only what lies ahead can be moved");
    }
    if (to < 0 || to >= plan.blocks().size() || behind(to) > 0) {
      throw new Refused("There is nothing ahead to move it past");
    }
    List<Block> all = new ArrayList<>(plan.blocks());
    all.add(to, all.remove(at));
    return with(all, null);
  }

  /** Puts the same block once more behind a block. */
  public Refit repeat(int no) {
    int at = at(no);
    List<Block> all = new ArrayList<>(plan.blocks());
    all.add(at + 1, all.get(at).withNo(plan.free()));
    return with(all, plan.free());
  }

  /** Takes a block out; of one that has begun only what lies ahead. */
  public Refit remove(int no) {
    int at = at(no);
    int behind = behind(at);
    if (plan.blocks().size() == 1 && behind == 0) {
      throw new Refused("It is the only block: end the plan instead");
    }
    return with(replaced(at, behind == 0 ? List.of() : List.of(plan.blocks().get(at).withWeeks(behind))), null);
  }

  /** Puts a block into the place of the one with its number. */
  public Refit change(Block block) {
    int at = at(block.no());
    if (block.weeks() < behind(at)) {
      throw new Refused(shorter(behind(at)));
    }
    return with(replaced(at, List.of(block)), block.no());
  }

  /** Puts a new block behind one. */
  public Refit insert(int no, Purpose purpose, int weeks) {
    int at = at(no);
    Block before = plan.blocks().get(at);
    List<Block> all = new ArrayList<>(plan.blocks());
    all.add(at + 1, Proposal.block(plan.free(), purpose, weeks, before));
    return with(all, plan.free());
  }

  private Refit with(List<Block> blocks, @Nullable Integer pinned) {
    return Refit.edited(plan, plan.withBlocks(blocks), pinned, from);
  }

  private List<Block> replaced(int at, List<Block> by) {
    List<Block> all = new ArrayList<>(plan.blocks());
    all.remove(at);
    all.addAll(at, by);
    return all;
  }

  private int at(int no) {
    for (int at = 0; at < plan.blocks().size(); at++) {
      if (plan.blocks().get(at).no() == no) {
        return at;
      }
    }
    throw new Refused("That block is not there any more");
  }

  /** So many weeks of a block are done. */
  private int behind(int at) {
    Macrocycle.Placed placed = plan.placed().get(at);
    return (int) Math.max(0, Math.min(placed.block().weeks(), ChronoUnit.WEEKS.between(placed.monday(), from)));
  }
}
