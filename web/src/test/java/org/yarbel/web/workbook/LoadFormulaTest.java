package org.yarbel.web.workbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.FormulaEvaluator;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.LoadSource;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.sim.GeneratedLines;

/** The rules of the resolver as formulas, each kind of load once by its text, and all of them by a second calculation. */
class LoadFormulaTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
  private static final Loadables KG = Loadables.of(new Kit(kg("20"), kg("0"), PlateStock.standard(MassUnit.KG)));
  private static final MaxNumbers NUMBERS = new MaxNumbers(kg("200"), kg("203.4"), kg("180"), kg("215"));
  private static final Map<String, MaxNumbers> OTHERS = Map.of("deadlift", new MaxNumbers(kg("240"), kg("246.1"), kg("220"),
      kg("255")), "squat", NUMBERS);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Resolver.Request request(String work, Basis basis, EffortChart chart, Loadables loadables) {
    return new Resolver.Request(WorkLine.parse(work), basis, NUMBERS, OTHERS, kg("93.5"), loadables, MassUnit.KG, chart,
        Movement.SQUAT, true, List.of(), null, Level.ADVANCED);
  }

  /** Cells with names of their own, to read what a formula says. */
  private static final class Named implements LoadFormula.Sheets {
    @Override
    public String number(String lift, Basis basis, Mass value) {
      return lift + "." + basis.word();
    }

    @Override
    public String bodyMass() {
      return "body";
    }

    @Override
    public LoadFormula.ChartColumns chart(EffortChart chart) {
      return new LoadFormula.ChartColumns("RTF", "SHARE");
    }

    @Override
    public String load(int row) {
      return "G" + (row + 1);
    }
  }

  private static List<String> formulas(String work) {
    Resolver.Request request = request(work, Basis.ESTIMATED, EffortChart.HOUSE, KG);
    ResolvedLine line = Resolver.resolve(request);
    return LoadFormula.rows(request, line, "squat", new Named(), 0).stream()
        .map(row -> row.sets() + " " + (row.literal() != null ? row.literal().number()
        : row.before() == null ? "-" : row.before() + (row.rounding() == LoadSource.Rounding.NEAREST ? ""
            : " " + row.rounding().name().toLowerCase(Locale.ROOT)))).toList();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "5x5 75%                     | 5 squat.est*75/100",
      "5x5 75% tm                  | 5 squat.tm*75/100",
      "4x4 70-75%                  | 4 squat.est*145/200",
      "3x5 60% goal of deadlift    | 3 deadlift.goal*60/100",
      "3x5 @8                      | 3 squat.est*INDEX(SHARE,MATCH(7,RTF,0))",
      "4x6-8 @8-9                  | 4 squat.est*INDEX(SHARE,MATCH(8.5,RTF,0))",
      "max 1                       | 1 squat.est*INDEX(SHARE,MATCH(1,RTF,0)) down",
      "max 3 @9                    | 1 squat.est*INDEX(SHARE,MATCH(4,RTF,0)) down",
      "cluster 3x5 92% gap 20s     | 3 squat.est*92/100 down",
      "3x5 102.5kg                 | 3 102.5",
      "3x5 bw                      | 3 body none",
      "3x5 bw+20kg                 | 3 body+20 none",
      "4x8-12                      | 4 -",
      "3x3 80% chains 15kg at top  | 3 MAX(0,squat.est*80/100-15)",
      "3x3 80% bands 10>40kg at bottom | 3 MAX(0,squat.est*80/100+0-10)",
  })
  void saysHowALoadComesFromTheNumbers(String work, String formula) {
    assertThat(formulas(work)).containsExactly(formula);
  }

  @Test
  void refersToTheLoadsAbove() {
    assertThat(formulas("1x1 @8; 4x4 -15%")).containsExactly("1 squat.est*INDEX(SHARE,MATCH(3,RTF,0))", "4 G1*(1-15/100)");
    assertThat(formulas("1x3 85%; 2x2 80%; 3x5 -10kg")).containsExactly("1 squat.est*85/100", "2 squat.est*80/100",
        "3 MAX(0,MAX(G1,G2)-10)");
    assertThat(formulas("1x1 92%; 3xAMRAP -7.5% each")).containsExactly("1 squat.est*92/100", "1 G1*(1-7.5/100)",
        "1 G2*(1-7.5/100)", "1 G3*(1-7.5/100)");
    assertThat(formulas("warm 1x5 30%; 1x3 85%; 2x8 70-80% top")).as("a warm-up is never the top")
        .containsExactly("1 squat.est*30/100", "1 squat.est*85/100", "2 G2*150/200");
    assertThat(formulas("build 5 @8")).containsExactly("1 squat.est*INDEX(SHARE,MATCH(7,RTF,0))*0.85",
        "1 squat.est*INDEX(SHARE,MATCH(7,RTF,0))*0.9",
        "1 squat.est*INDEX(SHARE,MATCH(7,RTF,0))*0.95", "1 squat.est*INDEX(SHARE,MATCH(7,RTF,0))");
    assertThat(formulas("series 100/120/140kg")).containsExactly("1 100", "1 120", "1 140");
    assertThat(formulas("3x5 bw+20kg; 2x8 -10%")).as("what hangs on the body is not rounded")
        .containsExactly("3 body+20 none", "2 G1*(1-10/100) none");
  }

  /**
   * Lines of every shape, worked out by the core and by the formula evaluator of Apache POI: another reading of the same
   * formulas, where no spreadsheet program is at hand.
   */
  @Test
  void generatedLinesComeToTheSameLoadsByASecondCalculation() throws IOException {
    EffortChart own = new EffortChart(RepMaxCurve.HOUSE, 0.83);
    Loadables few = Loadables.of(new Kit(kg("15"), kg("5"),
        new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("20"), 3), new PlateStock.Pairs(kg("5"), 1)))));
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(20_260_302);
    List<SheetLine> all = new ArrayList<>();
    for (int i = 0; i < 1500; i++) {
      String work = GeneratedLines.line(random).toString();
      Basis basis = List.of(Basis.ESTIMATED, Basis.TESTED, Basis.TRAINING, Basis.GOAL).get(i % 4);
      try {
        Resolver.Request request = request(work, basis, i % 3 == 0 ? own : EffortChart.HOUSE, i % 5 == 0 ? few : KG);
        all.add(new SheetLine(DAY, new SheetLine.Known(UUID.randomUUID(), false), Catalogue.standard().ofKey("squat")
            .orElseThrow(), request.line().line().toString(), request, Resolver.resolve(request)));
      } catch (NotationException cannotBe) {
        // a line nobody could be given
      }
    }
    assertThat(all).hasSizeGreaterThan(500);
    byte[] file = WorkbookWriter.write(new WorkbookWriter.Cover(UUID.randomUUID(), "Somebody", MassUnit.KG, kg("93.5"),
        "one week"), List.of(new SheetLine.OfWeek(DAY, "Week", all)));
    int loads = 0;
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file))) {
      FormulaEvaluator evaluator = book.getCreationHelper().createFormulaEvaluator();
      Sheet sheet = book.getSheet("Week 1");
      int at = WorkbookWriter.FIRST_ROW;
      for (SheetLine line : all) {
        List<ResolvedSet> sets = line.resolved().sets();
        for (int set = 0; set < sets.size(); at++) {
          Row row = sheet.getRow(at);
          for (int i = (int) row.getCell(3).getNumericCellValue(); i > 0; i--, set++) {
            Mass load = sets.get(set).load();
            Cell cell = row.getCell(WorkbookWriter.LOAD);
            String what = line.work() + " set " + (set + 1) + ": " + (cell != null && cell.getCellType() == CellType.FORMULA
                ? row.getCell(WorkbookWriter.BEFORE).getCellFormula() : "");
            if (load != null) {
              assertThat(evaluator.evaluate(cell).getNumberValue()).as(what).isCloseTo(load.nanograms() / 1e12, within(1e-6));
              loads++;
            } else {
              assertThat(cell == null || cell.getCellType() == CellType.BLANK).as(what).isTrue();
            }
          }
        }
      }
    }
    assertThat(loads).isGreaterThan(1000);
  }
}
