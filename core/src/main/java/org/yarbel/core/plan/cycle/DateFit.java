package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/**
 * Fits the blocks of a plan to a date: what is done stays, what lies ahead is made longer or shorter, and a peak that
 * is over early is done again.
 */
final class DateFit {
  /** With fewer weeks more the taper is only repeated. */
  private static final int AGAIN_FROM = 3;
  /** With fewer weeks there is no time for strength before the new peak. */
  private static final int STRENGTH_FROM = 6;
  private static final int USUAL_WEEKS = 2;

  private final Macrocycle was;
  private final int done;
  private final int room;
  private int next;

  DateFit(Macrocycle was, LocalDate contest, LocalDate from) {
    this.was = was;
    this.done = (int) Math.max(0, ChronoUnit.WEEKS.between(was.startsOn(), from));
    this.room = Fitting.weeks(from, contest);
    this.next = was.free();
  }

  /**
   * The blocks that lead to the date.
   *
   * @param led those that lead to where the plan led
   */
  List<Block> blocks(List<Block> led) {
    List<Block> all = behind(led);
    List<Block> blocks = new ArrayList<>(Refit.before(all, done));
    List<Block> ahead = new ArrayList<>(all.subList(blocks.size(), all.size()));
    int ofBegun = Refit.total(blocks) - done;
    Block begun = ofBegun > 0 ? blocks.get(blocks.size() - 1) : null;
    int left = ofBegun + Refit.total(ahead);
    if (begun != null && tooEarly(begun, left)) {
      // a peak held for longer is none: back to strength where there is time, and a new one
      blocks.set(blocks.size() - 1, begun.withWeeks(begun.weeks() - ofBegun));
      ahead = again(begun, left);
    }
    ahead.addAll(was.parked());
    if (ahead.stream().noneMatch(block -> block.purpose().peaking()) && (begun == null || !begun.purpose().peaking())) {
      Block like = begun != null ? begun : was.blocks().get(was.blocks().size() - 1);
      ahead.add(like(Purpose.PEAK, like).withWeeks(original(Purpose.PEAK)));
      ahead.add(like(Purpose.TAPER, like).withWeeks(original(Purpose.TAPER)));
    }
    blocks.addAll(ahead);
    return new ArrayList<>(Fitting.fit(blocks, done + room, done, null, next));
  }

  /** The blocks as they come to what is behind: a hold as often as it was repeated, weeks off where the plan had ended. */
  private List<Block> behind(List<Block> led) {
    List<Block> blocks = new ArrayList<>(led);
    if (was.holds()) {
      repeatHold(blocks);
    }
    if (Refit.total(blocks) < done) {
      Block last = blocks.get(blocks.size() - 1);
      for (int left = done - Refit.total(blocks); left > 0; left -= Block.MOST_WEEKS) {
        blocks.add(Proposal.block(next++, Purpose.OFF, Math.min(Block.MOST_WEEKS, left), last));
      }
    }
    return blocks;
  }

  /** A hold was repeated as long as it took: it becomes as long as that. */
  private void repeatHold(List<Block> blocks) {
    Block hold = blocks.remove(blocks.size() - 1);
    int behind = done - Refit.total(blocks);
    if (behind > 0) {
      blocks.add(hold.withWeeks(Math.min(behind, Block.MOST_WEEKS)));
      for (int more = behind - Block.MOST_WEEKS; more > 0; more -= Block.MOST_WEEKS) {
        blocks.add(numbered(hold).withWeeks(Math.min(more, Block.MOST_WEEKS)));
      }
    }
  }

  private boolean tooEarly(Block begun, int left) {
    return begun.purpose().peaking() && room > left && (begun.purpose() == Purpose.TAPER || room - left >= AGAIN_FROM);
  }

  private List<Block> again(Block begun, int left) {
    List<Block> ahead = new ArrayList<>();
    if (room - left < AGAIN_FROM) {
      ahead.add(like(Purpose.PEAK, begun).withWeeks(room - left));
      ahead.add(numbered(begun).withWeeks(Math.max(1, Math.min(left, Purpose.TAPER.most()))));
      return ahead;
    }
    int taper = original(Purpose.TAPER);
    if (room >= STRENGTH_FROM) {
      int weeks = Math.min(Purpose.STRENGTH.most(), room - taper - original(Purpose.PEAK));
      ahead.add(like(Purpose.STRENGTH, begun).withWeeks(Math.max(2, weeks)));
    }
    ahead.add(like(Purpose.PEAK, begun).withWeeks(original(Purpose.PEAK)));
    ahead.add(like(Purpose.TAPER, begun).withWeeks(taper));
    return ahead;
  }

  private int original(Purpose purpose) {
    return was.blocks().stream().filter(block -> block.purpose() == purpose).mapToInt(Block::weeks).max().orElse(USUAL_WEEKS);
  }

  private Block like(Purpose purpose, Block other) {
    return numbered(Refit.model(was, purpose, other));
  }

  private Block numbered(Block block) {
    return block.withNo(next++);
  }
}
