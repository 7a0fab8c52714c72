package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads how heavy a part is. */
final class LoadReader {
  private final Cursor in;
  private final Figures figures;

  LoadReader(Cursor in, Figures figures) {
    this.in = in;
    this.figures = figures;
  }

  /** The load at the cursor, which stands at a {@code -} or a digit. */
  Load read() {
    return in.peek() == '-' ? drop() : percentOrMass();
  }

  private Load drop() {
    int from = in.at();
    in.match('-');
    in.blanks();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.from(from), "A drop needs a number: write -15% or -10kg.");
    }
    BigDecimal number = figures.decimal();
    in.blanks();
    return in.match('%')
        ? new Load.Drop(figures.dropPercent(from, number), null, in.matchWord("each"))
        : new Load.Drop(null, figures.mass(from, number, "a drop is written -15% or -10kg"), in.matchWord("each"));
  }

  private Load percentOrMass() {
    int from = in.at();
    BigDecimal low = figures.decimal();
    int behind = in.at();
    in.blanks();
    if (in.peek() == '-') {
      return percentRange(from, low);
    }
    if (in.match('%')) {
      return percentOf(figures.percent(from, low), null);
    }
    if (in.matchTimes()) {
      throw new Stop(new Span(from, behind), "A part has one kind of work: write ; before the next, such as 5x5; 3x3.");
    }
    String number = Figures.plain(low);
    return new Load.OfMass(figures.mass(from, low, "write " + number + "kg, " + number + "lb or " + number + "%"));
  }

  private Load percentRange(int from, BigDecimal low) {
    in.match('-');
    in.blanks();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.from(from), "A range needs two numbers: write 70-75%.");
    }
    BigDecimal high = figures.decimal();
    in.blanks();
    if (!in.match('%')) {
      throw new Stop(in.from(from), "Only a percentage can be a range of loads: write 70-75%, or one load such as 75kg.");
    }
    figures.percent(from, low);
    figures.percent(from, high);
    if (high.compareTo(low) <= 0) {
      throw new Stop(in.from(from), "A range goes from the lower to the higher: write "
          + (high.compareTo(low) == 0 ? Figures.plain(low) : Figures.plain(high) + "-" + Figures.plain(low)) + "%.");
    }
    return percentOf(low, high);
  }

  private Load percentOf(BigDecimal low, @Nullable BigDecimal high) {
    if (in.matchWord("top")) {
      return new Load.ShareOfTop(low, high);
    }
    Basis basis = null;
    int behind = in.at();
    in.blanks();
    if (Cursor.letter(in.peek())) {
      Optional<Basis> named = Basis.ofWord(in.word());
      if (named.isPresent()) {
        basis = named.get();
        behind = in.at();
      }
    }
    in.backTo(behind);
    if (!in.matchWord("of")) {
      return new Load.Percent(low, high, basis, null);
    }
    in.blanks();
    int from = in.at();
    if (!Cursor.letter(in.peek())) {
      throw new Stop(in.here(), "The lift is missing: write its key after of, such as 60% of deadlift.");
    }
    String lift = in.liftKey();
    if (basis == Basis.TODAY) {
      throw new Stop(in.from(from), "Today's max is of this lift only: write est, tested, tm or goal of " + lift + ".");
    }
    return new Load.Percent(low, high, basis, lift);
  }

  /** What stands behind {@code bw}. */
  Load bodyMass() {
    int behind = in.at();
    in.blanks();
    if (!in.match('+')) {
      in.backTo(behind);
      return new Load.BodyMass(null);
    }
    in.blanks();
    int from = in.at();
    if (!Cursor.digit(in.peek())) {
      throw new Stop(in.here(), "The added load is missing: write bw+20kg.");
    }
    return new Load.BodyMass(figures.mass(from, figures.decimal(), "write bw+20kg"));
  }
}
