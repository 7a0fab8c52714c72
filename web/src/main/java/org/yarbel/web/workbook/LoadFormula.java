package org.yarbel.web.workbook;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.Role;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkKind;

/**
 * A line of the plan as rows of a sheet: sets that weigh the same share a row, and each row says how its load comes from the
 * numbers, from a table of efforts, or from a load above it. The rules are the resolver's.
 */
final class LoadFormula {
  /** So many decimals write a nanogram of a kilogram. */
  private static final int EXACT = 12;
  private static final double[] BUILD_SHARES = {0.85, 0.9, 0.95, 1};

  private final Resolver.Request request;
  private final Sheets sheets;
  private final int firstRow;
  private final List<Row> rows = new ArrayList<>();

  /** The cells that formulas refer to, each as it is written in one. */
  interface Sheets {
    /** The cell of a number. */
    String number(String lift, Basis basis, Mass value);

    /** The cell of the body mass. */
    String bodyMass();

    /** The column of a chart's shares beside that of the reps to failure. */
    Chart chart(EffortChart chart);

    /** The cell of a load in a row. */
    String load(int row);
  }

  /** Two columns of one length: reps to failure, and the share of the max. */
  record Chart(String reps, String shares) {}

  /** How a load becomes one that can be lifted. */
  enum Rounding {
    NEAREST,
    DOWN,
    /** It is what it is. */
    NONE
  }

  /**
   * A row.
   *
   * @param part of the line, from 1
   * @param sets how many
   * @param before what is rounded, as a formula; null where the lifter picks
   * @param literal the load itself where no number has a say in it; null where one has
   * @param set the first of its sets, as the core has it
   */
  record Row(int part, int sets, @Nullable String before, @Nullable Mass literal, Rounding rounding, ResolvedSet set) {}

  private LoadFormula(Resolver.Request request, Sheets sheets, int firstRow) {
    this.request = request;
    this.sheets = sheets;
    this.firstRow = firstRow;
  }

  /** The rows of a line, the first of which stands in a row of the sheet. */
  static List<Row> rows(Resolver.Request request, ResolvedLine line, String lift, Sheets sheets, int firstRow) {
    LoadFormula formula = new LoadFormula(request, sheets, firstRow);
    List<Part> parts = request.line().line().parts();
    for (int part = 1; part <= parts.size(); part++) {
      int number = part;
      formula.part(number, parts.get(part - 1), line.sets().stream().filter(set -> set.part() == number).toList(), lift);
    }
    return formula.rows;
  }

  private void part(int number, Part part, List<ResolvedSet> sets, String lift) {
    int start = rows.size();
    for (int i = 0; i < sets.size(); i++) {
      Row row = row(number, part, sets.get(i), i, rows.size() == start ? null : Integer.valueOf(firstRow + rows.size() - 1), lift);
      Row above = rows.size() == start ? null : rows.get(rows.size() - 1);
      if (above != null && Objects.equals(above.before(), row.before()) && Objects.equals(above.literal(), row.literal())
          && above.set().role() == row.set().role()) {
        rows.set(rows.size() - 1, new Row(number, above.sets() + 1, above.before(), above.literal(), above.rounding(), above.set()));
      } else {
        rows.add(row);
      }
    }
  }

  private Row row(int number, Part part, ResolvedSet set, int index, @Nullable Integer previous, String lift) {
    Load load = part.load();
    boolean fixed = load instanceof Load.OfMass || part.work() instanceof Work.Series;
    if (fixed || set.load() == null) {
      return new Row(number, 1, null, fixed ? set.load() : null, Rounding.NONE, set);
    }
    String before = before(number, part, index, previous, lift);
    boolean onBar = load instanceof Load.BodyMass ? false : load == null || !load.needsTop() || topOnBar(number);
    Rounding rounding = request.loadables() == null || !onBar ? Rounding.NONE : switch (part.work().kind()) {
      case MAX, CLUSTER, DENSITY, NEGATIVE -> Rounding.DOWN;
      default -> Rounding.NEAREST;
    };
    return new Row(number, 1, before, null, rounding, set);
  }

  private String before(int number, Part part, int index, @Nullable Integer previous, String lift) {
    Load load = part.load();
    if (load instanceof Load.BodyMass body) {
      return body.added() == null ? sheets.bodyMass() : sheets.bodyMass() + "+" + figure(body.added());
    }
    if (load instanceof Load.Drop drop) {
      String from = drop.each() && previous != null ? sheets.load(previous) : top(number);
      return drop.percent() != null ? from + "*(1-" + plain(drop.percent()) + "/100)" : "MAX(0," + from + "-" + figure(Objects.requireNonNull(drop.mass())) + ")";
    }
    if (load instanceof Load.ShareOfTop share) {
      return top(number) + "*" + share(share.from(), share.to());
    }
    if (load instanceof Load.Percent percent) {
      Basis basis = percent.basis() == null || percent.basis() == Basis.TODAY ? request.basis() : percent.basis();
      MaxNumbers numbers = percent.lift() == null ? request.numbers() : Objects.requireNonNull(request.others().get(percent.lift()));
      return hanging(part, sheets.number(percent.lift() == null ? lift : percent.lift(), basis, Objects.requireNonNull(numbers.of(basis))) + "*"
          + share(percent.from(), percent.to()));
    }
    boolean build = part.work().kind() == WorkKind.BUILD;
    double rpe = part.rpe() == null ? Rpe.MAX.value() : part.work() instanceof Work.Max ? part.rpe().from().value() : part.rpe().middle();
    return hanging(part, byRpe(reps(part), rpe, build ? BUILD_SHARES[index] : 1, lift));
  }

  private static double reps(Part part) {
    Work work = part.work();
    if (work instanceof Work.SetsOfReps sets) {
      OptionalDouble middle = sets.reps().middle();
      return middle.orElse(1);
    }
    return work instanceof Work.Build build ? build.reps() : work instanceof Work.Max max ? max.reps() : work instanceof Work.Emom emom ? emom.reps() : 1;
  }

  private String byRpe(double reps, double rpe, double share, String lift) {
    LoadFormula.Chart chart = sheets.chart(request.chart());
    Basis basis = request.basis() == Basis.TESTED || request.basis() == Basis.ESTIMATED ? request.basis()
        : request.numbers().estimated() != null ? Basis.ESTIMATED : Basis.TESTED;
    String number = sheets.number(lift, basis, Objects.requireNonNull(request.numbers().of(basis)));
    return number + "*INDEX(" + chart.shares() + ",MATCH(" + plain(BigDecimal.valueOf(EffortChart.repsToFailure(reps, rpe))) + "," + chart.reps() + ",0))"
        + (share == 1 ? "" : "*" + plain(BigDecimal.valueOf(share)));
  }

  /** The bar that weighs so much at the stated point. */
  private String hanging(Part part, String exact) {
    Option.Point at = part.option(Option.At.class).map(Option.At::point).orElse(null);
    if (at == null) {
      return exact;
    }
    Mass nothing = Mass.ofNanograms(0, MassUnit.KG);
    Mass lockOut = part.option(Option.Bands.class).map(Option.Bands::lockOut).orElse(nothing).plus(part.option(Option.Chains.class).map(Option.Chains::mass)
        .orElse(nothing));
    Mass slack = part.option(Option.Bands.class).map(Option.Bands::slack).orElse(nothing);
    Mass held = part.option(Option.Reverse.class).map(Option.Reverse::held).orElse(nothing);
    return at == Option.Point.TOP ? "MAX(0," + exact + "-" + figure(lockOut) + ")" : "MAX(0," + exact + "+" + figure(held) + "-" + figure(slack) + ")";
  }

  /** The heaviest of the rows of the parts before; warm-ups never count. */
  private String top(int number) {
    List<String> cells = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      if (rows.get(i).part() < number && rows.get(i).set().role() != Role.WARM && rows.get(i).set().load() != null) {
        cells.add(sheets.load(firstRow + i));
      }
    }
    return cells.size() == 1 ? cells.get(0) : "MAX(" + String.join(",", cells) + ")";
  }

  /** Whether plates can make the set that drops refer to: the heaviest of the parts before. */
  private boolean topOnBar(int number) {
    Row best = null;
    for (Row row : rows) {
      Mass load = row.set().load();
      if (row.part() < number && row.set().role() != Role.WARM && load != null && (best == null || load.compareTo(Objects.requireNonNull(best.set().load())) > 0)) {
        best = row;
      }
    }
    return best == null || best.literal() != null || best.rounding() != Rounding.NONE || request.loadables() == null;
  }

  private static String share(BigDecimal from, @Nullable BigDecimal to) {
    return to == null ? plain(from) + "/100" : plain(from.add(to)) + "/200";
  }

  private String figure(Mass mass) {
    return plain(mass.amountIn(request.unit(), EXACT));
  }

  private static String plain(BigDecimal number) {
    BigDecimal stripped = number.stripTrailingZeros();
    return (stripped.scale() < 0 ? stripped.setScale(0) : stripped).toPlainString();
  }
}
