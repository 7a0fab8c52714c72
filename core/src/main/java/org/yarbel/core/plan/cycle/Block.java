package org.yarbel.core.plan.cycle;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;

/**
 * Some weeks of a macrocycle with one purpose.
 *
 * @param no by which it is known in its macrocycle, however it is moved
 * @param weeks 1 to 26, easy ones included
 * @param every after so many weeks of it an easy one comes; 0 for none
 * @param easy how an easy week is taken
 * @param basis of the percentages in it; null for each lift's own
 * @param uses how its lifts are trained; none in a week off
 */
public record Block(int no, Purpose purpose, int weeks, int every, Deload easy, @Nullable Basis basis, List<Use> uses) {
  /** The most weeks of a block. */
  public static final int MOST_WEEKS = 26;

  private static final int ENDS_EASY_FROM = 4;
  private static final List<Method> STRETCHED = List.of(Method.RISING, Method.PEAK);

  public Block {
    if (weeks < 1 || weeks > MOST_WEEKS) {
      throw new Refused("A block has 1 to " + MOST_WEEKS + " weeks but should have " + weeks);
    }
    if (every < 0 || every > MOST_WEEKS) {
      throw new Refused("An easy week comes after 1 to " + MOST_WEEKS + " weeks or never but should after " + every);
    }
    uses = List.copyOf(uses);
  }

  /** Whether a week of it, from 0, is an easy one. */
  public boolean easy(int week) {
    return every > 0 && (week + 1) % (every + 1) == 0;
  }

  /** Its weeks that are not easy. */
  public int training() {
    int easyWeeks = every == 0 ? 0 : weeks / (every + 1);
    return Math.max(1, weeks - easyWeeks);
  }

  /** Whether its last week is an easy one. */
  boolean endsEasy() {
    return easy(weeks - 1);
  }

  /** The same with so many weeks: one that ends easy still does, as far as it is long enough. */
  Block withWeeks(int other) {
    if (other == weeks) {
      return this;
    }
    boolean one = every == 0 || every >= weeks - 1;
    boolean ends = (endsEasy() || other > ENDS_EASY_FROM) && other >= ENDS_EASY_FROM && !purpose.peaking() && purpose != Purpose.HOLD
        && purpose != Purpose.OFF;
    int then = ends ? other - 1 : 0;
    return new Block(no, purpose, other, one ? then : every, easy, basis, uses);
  }

  Block withNo(int other) {
    return new Block(other, purpose, weeks, every, easy, basis, uses);
  }

  /** The same with its lifts trained otherwise. */
  public Block withUses(List<Use> others) {
    return new Block(no, purpose, weeks, every, easy, basis, others);
  }

  /** Whether a parameter of a method follows from the block, so that nobody need set it. */
  public static boolean derives(Method method, String key) {
    return key.equals("weeks") && STRETCHED.contains(method);
  }

  /** What is set of a use, with what follows from the block: its weeks and its basis. */
  Map<String, String> settings(Use use) {
    Map<String, String> all = new HashMap<>(use.settings());
    if (STRETCHED.contains(use.method())) {
      all.put("weeks", Integer.toString(training()));
    }
    if (basis != null && basis != Basis.TODAY) {
      all.putIfAbsent("basis", basis.word());
    }
    return all;
  }

  /**
   * Two blocks in its place, the first with so many weeks; shares that rise go on where the first ends.
   *
   * @param first at least 1, less than all
   * @param second the number of the second block
   */
  List<Block> split(int first, int second) {
    int before = 0;
    for (int week = 0; week < first; week++) {
      before += easy(week) ? 0 : 1;
    }
    int cut = Math.max(1, before);
    int all = training();
    Block one = new Block(no, purpose, first, keeps(every, first), easy, basis, uses.stream().map(use -> part(use, 0, cut, all)).toList());
    Block two = new Block(second, purpose, weeks - first, keeps(every == 0 ? 0 : every - first % (every + 1), weeks - first), easy, basis,
        uses.stream().map(use -> part(use, Math.min(cut, all - 1), all, all)).toList());
    return List.of(one, two);
  }

  private static int keeps(int after, int length) {
    return after > 0 && after < length ? after : 0;
  }

  private static Use part(Use use, int from, int to, int weeks) {
    OptionalDouble low = number(use, "from");
    OptionalDouble high = number(use, "to");
    if (!STRETCHED.contains(use.method()) || low.isEmpty() || high.isEmpty() || weeks < 2) {
      return use;
    }
    double step = (high.getAsDouble() - low.getAsDouble()) / (weeks - 1);
    return use.with("from", text(low.getAsDouble() + step * from)).with("to", text(low.getAsDouble() + step * (to - 1)));
  }

  /** One block of this and the next: what rises, rises from the start of the first to the end of the second. */
  Block merged(Block next) {
    List<Use> all = uses.stream().map(use -> next.uses().stream()
        .filter(other -> other.lift().equals(use.lift()) && other.method() == use.method() && other.settings().containsKey("to"))
        .findFirst()
        .map(other -> use.with("to", other.settings().get("to"))).orElse(use)).toList();
    int total = Math.min(MOST_WEEKS, weeks + next.weeks());
    int after = next.endsEasy() && total > 1 ? total - 1 : 0;
    return new Block(no, purpose, total, endsEasy() ? every : after, easy, basis, all);
  }

  private static OptionalDouble number(Use use, String key) {
    String text = use.settings().get(key);
    return text == null || !text.matches("\\d{1,3}([.,]\\d{1,2})?") ? OptionalDouble.empty()
        : OptionalDouble.of(Double.parseDouble(text.replace(',', '.')));
  }

  private static String text(double number) {
    return BigDecimal.valueOf(number).setScale(1, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString();
  }
}
