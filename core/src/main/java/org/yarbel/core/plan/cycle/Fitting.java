package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.Deload;

/**
 * Makes the blocks ahead as long as there are weeks to a contest. What gives first is what is furthest from the platform:
 * volume, then strength, then singles, the taper last; what grows is strength and volume, and a whole block comes in when
 * there is room for one. Our own order, from common practice.
 */
final class Fitting {
  private static final int ROOM_FOR_A_BLOCK = 3;
  private static final int USUAL_BLOCK = 5;
  private static final List<Purpose> GIVES = List.of(Purpose.OFF, Purpose.TEST, Purpose.HOLD, Purpose.PRACTICE, Purpose.VOLUME,
      Purpose.STRENGTH, Purpose.PEAK, Purpose.TAPER);
  private static final List<Purpose> GROWS = List.of(Purpose.STRENGTH, Purpose.VOLUME, Purpose.PRACTICE, Purpose.PEAK,
      Purpose.TAPER);

  private final List<Piece> pieces = new ArrayList<>();
  private final @Nullable Integer pinned;
  private int next;

  /** A block with the weeks of it that are behind and stay. */
  private static final class Piece {
    private Block block;
    private final int done;

    Piece(Block block, int done) {
      this.block = block;
      this.done = done;
    }

    Purpose purpose() {
      return block.purpose();
    }

    void take(int weeks) {
      block = block.withWeeks(weeks);
    }
  }

  private Fitting(List<Block> blocks, int done, @Nullable Integer pinned, int next) {
    int behind = done;
    for (Block block : blocks) {
      int ofIt = Math.max(0, Math.min(behind, block.weeks()));
      pieces.add(new Piece(block, ofIt));
      behind -= ofIt;
    }
    this.pinned = pinned;
    this.next = next;
  }

  /**
   * The blocks so that they come to a number of weeks.
   *
   * @param done so many weeks from the first on are behind and stay
   * @param pinned the block that somebody has just made as long as it is; null for none
   * @param next a number no block has
   */
  static List<Block> fit(List<Block> blocks, int weeks, int done, @Nullable Integer pinned, int next) {
    Fitting fitting = new Fitting(blocks, done, pinned, next);
    int over = fitting.total() - weeks;
    while (over > 0) {
      int given = fitting.shrink();
      over = given == 0 ? 0 : over - given;
    }
    while (over < 0) {
      over += fitting.grow(-over);
    }
    return fitting.pieces.stream().map(piece -> piece.block).toList();
  }

  private int total() {
    return pieces.stream().mapToInt(piece -> piece.block.weeks()).sum();
  }

  /** Takes weeks out, and tells how many; 0 when nothing ahead can give any more. */
  private int shrink() {
    Optional<Piece> gives = longest(piece -> piece.block.weeks() > piece.purpose().least());
    // what is as short as it can be goes as a whole, and the days before the contest last
    if (gives.isEmpty() || gives.get().purpose().peaking()) {
      Optional<Piece> ends = GIVES.stream().filter(purpose -> !purpose.peaking()).flatMap(purpose -> pieces.stream()
          .filter(piece -> piece.purpose() == purpose && ahead(piece) > 0 && !pinned(piece))).findFirst();
      Optional<Piece> least = gives;
      gives = ends.or(() -> least).or(() -> pieces.stream().filter(piece -> ahead(piece) > 0)
          .min(Comparator.comparingInt(piece -> GIVES.indexOf(piece.purpose()))));
    }
    if (gives.isEmpty()) {
      return 0;
    }
    Piece piece = gives.get();
    boolean whole = piece.done == 0 && piece.block.weeks() <= piece.purpose().least();
    int given = whole ? piece.block.weeks() : 1;
    if (whole) {
      pieces.remove(piece);
    } else {
      piece.take(piece.block.weeks() - 1);
    }
    return given;
  }

  private Optional<Piece> longest(Predicate<Piece> can) {
    return pieces.stream().filter(piece -> ahead(piece) > 0 && !pinned(piece) && can.test(piece)).min(Comparator
        .<Piece>comparingInt(piece -> GIVES.indexOf(piece.purpose())).thenComparing(piece -> -piece.block.weeks()));
  }

  private static int ahead(Piece piece) {
    return piece.block.weeks() - piece.done;
  }

  private boolean pinned(Piece piece) {
    return pinned != null && piece.block.no() == pinned;
  }

  /** Adds weeks, and tells how many. */
  private int grow(int missing) {
    if (missing >= ROOM_FOR_A_BLOCK && insert(Math.min(missing, USUAL_BLOCK))) {
      return Math.min(missing, USUAL_BLOCK);
    }
    Optional<Piece> grows = GROWS.stream().flatMap(purpose -> pieces.stream().filter(piece -> piece.purpose() == purpose
        && piece.block.weeks() < purpose.most() && ahead(piece) > 0 && !pinned(piece))
        .sorted(Comparator.comparingInt(piece -> piece.block.weeks()))).findFirst();
    if (grows.isPresent()) {
      grows.get().take(grows.get().block.weeks() + 1);
      return 1;
    }
    int weeks = Math.min(missing, USUAL_BLOCK);
    if (!insert(weeks)) {
      pieces.add(beforePeak(), new Piece(new Block(next++, Purpose.OFF, weeks, 0, Deload.HALF_LOAD, null, List.of()), 0));
    }
    return weeks;
  }

  /** Puts a block before the peak: strength after volume, volume after anything else; the kind of which one is there already. */
  private boolean insert(int weeks) {
    int at = beforePeak();
    Purpose before = at == 0 ? Purpose.STRENGTH : pieces.get(at - 1).purpose();
    Map<Purpose, Block> models = new EnumMap<>(Purpose.class);
    pieces.forEach(piece -> models.put(piece.purpose(), piece.block));
    Purpose wanted = before == Purpose.VOLUME ? Purpose.STRENGTH : Purpose.VOLUME;
    Block model = models.get(wanted) != null ? models.get(wanted) : models.getOrDefault(Purpose.STRENGTH, models.get(Purpose.VOLUME));
    if (model == null) {
      model = models.get(Purpose.PRACTICE);
    }
    if (model == null) {
      model = pieces.stream().map(piece -> piece.block).filter(block -> !block.uses().isEmpty()).findFirst()
          .map(block -> Proposal.block(0, Purpose.STRENGTH, weeks, block)).orElse(null);
    }
    if (model == null) {
      return false;
    }
    pieces.add(at, new Piece(model.withNo(next++).withWeeks(weeks), 0));
    return true;
  }

  private int beforePeak() {
    int at = pieces.size();
    while (at > 0 && ahead(pieces.get(at - 1)) > 0 && pieces.get(at - 1).done == 0
        && (pieces.get(at - 1).purpose().peaking() || pieces.get(at - 1).purpose() == Purpose.OFF)) {
      at--;
    }
    return at;
  }

  /** So many weeks there are from a Monday to the week of a contest, that week included. */
  static int weeks(LocalDate monday, LocalDate contest) {
    return (int) ChronoUnit.WEEKS.between(monday, Macrocycle.monday(contest)) + 1;
  }
}
