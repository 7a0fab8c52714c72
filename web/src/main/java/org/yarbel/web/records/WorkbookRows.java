package org.yarbel.web.records;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.poi.openxml4j.exceptions.OpenXML4JException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JRuntimeException;
import org.apache.poi.openxml4j.opc.OPCPackage;
import org.apache.poi.openxml4j.opc.PackageAccess;
import org.apache.poi.openxml4j.util.ZipSecureFile;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.xssf.eventusermodel.ReadOnlySharedStringsTable;
import org.apache.poi.xssf.eventusermodel.XSSFReader;
import org.apache.poi.xssf.model.StylesTable;
import org.apache.poi.xssf.usermodel.XSSFCellStyle;
import org.xml.sax.SAXException;
import org.yarbel.core.records.Guess;

/** Reads the first sheet of a workbook that holds a table, cell by cell. Days come out as 2024-03-05, numbers with a point. */
final class WorkbookRows {
  private static final long MOST_UNPACKED = 512L << 20;
  private static final XMLInputFactory XML = factory();

  static {
    // a sheet of 200,000 rows packs to a fiftieth at most; a bomb to a thousandth
    ZipSecureFile.setMinInflateRatio(0.005);
    ZipSecureFile.setMaxEntrySize(MOST_UNPACKED);
  }

  private WorkbookRows() {}

  private static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newInstance();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_NAMESPACE_AWARE, false);
    return factory;
  }

  static void read(Path file, SheetReader.Rows rows) throws IOException {
    try (OPCPackage book = OPCPackage.open(file.toFile(), PackageAccess.READ)) {
      XSSFReader reader = new XSSFReader(book);
      ReadOnlySharedStringsTable words = new ReadOnlySharedStringsTable(book);
      StylesTable styles = reader.getStylesTable();
      int table = table(reader);
      Iterator<InputStream> sheets = reader.getSheetsData();
      for (int i = 0; sheets.hasNext(); i++) {
        try (InputStream sheet = new Bounded(sheets.next())) {
          if (i == table) {
            new Sheet(words, styles, rows).read(XML.createXMLStreamReader(sheet));
          }
        }
      }
    } catch (OpenXML4JException | OpenXML4JRuntimeException | XMLStreamException | SAXException | IllegalArgumentException
        | IllegalStateException wrong) {
      throw new NoTable("The file is packed like a workbook (.xlsx) and is none, or is cut short.");
    } catch (IOException wrong) {
      throw new NoTable("The workbook cannot be unpacked, or would be larger than any table of training.");
    }
  }

  /** The first sheet with more than a head. */
  private static int table(XSSFReader reader) throws IOException, OpenXML4JException, XMLStreamException {
    Iterator<InputStream> sheets = reader.getSheetsData();
    for (int i = 0; sheets.hasNext(); i++) {
      try (InputStream sheet = new Bounded(sheets.next())) {
        XMLStreamReader xml = XML.createXMLStreamReader(sheet);
        int rows = 0;
        while (rows < 2 && xml.hasNext()) {
          rows += xml.next() == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("row") ? 1 : 0;
        }
        if (rows == 2) {
          return i;
        }
      }
    }
    throw new NoTable("No sheet of the workbook holds a table: a head and rows below it.");
  }

  private record Sheet(ReadOnlySharedStringsTable words, StylesTable styles, SheetReader.Rows rows) {
    void read(XMLStreamReader xml) throws XMLStreamException {
      Map<Integer, String> cells = new TreeMap<>();
      String type = "";
      String style = "";
      int column = -1;
      StringBuilder text = new StringBuilder();
      boolean value = false;
      while (xml.hasNext()) {
        int event = xml.next();
        if (event == XMLStreamConstants.START_ELEMENT) {
          switch (xml.getLocalName()) {
            case "row" -> cells.clear();
            case "c" -> {
              column = column(xml.getAttributeValue(null, "r"), column + 1);
              type = orEmpty(xml.getAttributeValue(null, "t"));
              style = orEmpty(xml.getAttributeValue(null, "s"));
              text.setLength(0);
            }
            case "v", "t" -> value = true;
            default -> { }
          }
        } else if (event == XMLStreamConstants.CHARACTERS && value && text.length() <= SheetReader.MOST_CELL) {
          text.append(xml.getText());
        } else if (event == XMLStreamConstants.END_ELEMENT) {
          switch (xml.getLocalName()) {
            case "v", "t" -> value = false;
            case "c" -> cells.put(column, cell(type, style, text.toString()));
            case "row" -> {
              rows.accept(line(cells));
              column = -1;
            }
            default -> { }
          }
        }
      }
    }

    private static String orEmpty(String text) {
      return text == null ? "" : text;
    }

    private static int column(String reference, int next) {
      int column = reference == null ? next : new CellReference(reference).getCol();
      if (column >= Guess.MOST_COLUMNS) {
        throw new NoTable("The table has more than " + Guess.MOST_COLUMNS + " columns: that is no table of training.");
      }
      return column;
    }

    private static List<String> line(Map<Integer, String> cells) {
      List<String> line = new ArrayList<>();
      cells.forEach((column, text) -> {
        while (line.size() < column) {
          line.add("");
        }
        line.add(text);
      });
      return line;
    }

    private String cell(String type, String style, String text) {
      if (text.isEmpty()) {
        return "";
      }
      return switch (type) {
        case "s" -> words.getItemAt(Integer.parseInt(text)).getString();
        case "str", "inlineStr", "b", "e", "d" -> text;
        default -> number(style, text);
      };
    }

    private String number(String style, String text) {
      try {
        if (!style.isEmpty()) {
          XSSFCellStyle own = styles.getStyleAt(Integer.parseInt(style));
          if (own != null && DateUtil.isADateFormat(own.getDataFormat(), own.getDataFormatString())) {
            LocalDateTime moment = DateUtil.getLocalDateTime(Double.parseDouble(text));
            return moment == null ? text : moment.toLocalDate().toString();
          }
        }
        // 102.49999999999999 is what 102.5 came to somewhere
        return new BigDecimal(String.format(Locale.ROOT, "%.6f", Double.parseDouble(text))).stripTrailingZeros().toPlainString();
      } catch (NumberFormatException none) {
        return text;
      }
    }
  }

  /** What comes out of a sheet, up to a length no table of training has. */
  private static final class Bounded extends FilterInputStream {
    private long left = MOST_UNPACKED;

    Bounded(InputStream in) {
      super(in);
    }

    @Override
    public int read(byte[] to, int from, int length) throws IOException {
      int read = super.read(to, from, length);
      left -= Math.max(read, 0);
      if (left < 0) {
        throw new IOException("larger than any");
      }
      return read;
    }
  }
}
