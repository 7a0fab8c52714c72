package org.yarbel.web.workbook;

import java.math.BigDecimal;
import java.util.List;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.FillPatternType;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.IndexedColors;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.edge.PlainText;

/** Cells of a sheet by row and column, written in one of few ways, and read as text. */
final class WorkbookCells {
  private final CellStyle plain;
  private final CellStyle head;
  private final CellStyle input;
  private final CellStyle load;
  private final CellStyle exact;

  WorkbookCells(XSSFWorkbook book) {
    Font bold = book.createFont();
    bold.setBold(true);
    plain = book.createCellStyle();
    head = filled(book, IndexedColors.GREY_25_PERCENT);
    head.setFont(bold);
    input = filled(book, IndexedColors.LEMON_CHIFFON);
    load = filled(book, IndexedColors.LEMON_CHIFFON);
    load.setDataFormat(book.createDataFormat().getFormat("0.0##"));
    load.setFont(bold);
    exact = book.createCellStyle();
    exact.setDataFormat(book.createDataFormat().getFormat("0.00"));
  }

  private static CellStyle filled(XSSFWorkbook book, IndexedColors color) {
    CellStyle style = book.createCellStyle();
    style.setFillForegroundColor(color.getIndex());
    style.setFillPattern(FillPatternType.SOLID_FOREGROUND);
    return style;
  }

  /** As it is. */
  CellStyle plain() {
    return plain;
  }

  /** Above others. */
  CellStyle head() {
    return head;
  }

  /** To be written over. */
  CellStyle input() {
    return input;
  }

  /** A load to be written over. */
  CellStyle load() {
    return load;
  }

  /** A number before it is rounded. */
  CellStyle exact() {
    return exact;
  }

  /** A row, made when it is not there. */
  static Row row(Sheet sheet, int at) {
    Row row = sheet.getRow(at);
    return row == null ? sheet.createRow(at) : row;
  }

  static void text(Sheet sheet, int at, int column, String text, CellStyle style) {
    Cell cell = row(sheet, at).createCell(column);
    cell.setCellValue(text);
    cell.setCellStyle(style);
  }

  static void texts(Sheet sheet, int at, CellStyle style, List<String> texts) {
    for (int i = 0; i < texts.size(); i++) {
      text(sheet, at, i, texts.get(i), style);
    }
  }

  /** What stands in a cell; empty for nothing, and for a formula. */
  static String read(@Nullable Row row, int column) {
    Cell cell = row == null ? null : row.getCell(column);
    if (cell == null) {
      return "";
    }
    return switch (cell.getCellType()) {
      case STRING -> PlainText.of(cell.getStringCellValue());
      case NUMERIC -> BigDecimal.valueOf(cell.getNumericCellValue()).stripTrailingZeros().toPlainString();
      case BOOLEAN -> Boolean.toString(cell.getBooleanCellValue());
      default -> "";
    };
  }

  /** Where a cell is, as a person finds it: {@code Week 2!C7}. */
  static String place(Sheet sheet, int row, int column) {
    return sheet.getSheetName() + "!" + letter(column) + (row + 1);
  }

  static String letter(int column) {
    return CellReference.convertNumToColString(column);
  }
}
