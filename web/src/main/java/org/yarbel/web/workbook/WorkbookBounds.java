package org.yarbel.web.workbook;

import java.io.ByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * How large a file that says it is a workbook may be once it is unpacked. It is looked at while it is unpacked, piece by piece,
 * before anything builds it up in memory: a file of half a megabyte can hold sheets of hundreds.
 */
final class WorkbookBounds {
  /** Ours of 26 weeks unpacks to some 3 MB. */
  static final long MOST_BYTES = 16L << 20;
  /** Rows, cells and what stands in them: ours of 26 weeks has some 60,000 pieces. */
  static final int MOST_PIECES = 400_000;

  private static final int MOST_FILES = 200;
  private static final int MOST_DEPTH = 60;
  private static final XMLInputFactory XML = factory();

  private long bytes;
  private int files;
  private int pieces;

  private WorkbookBounds() {}

  private static XMLInputFactory factory() {
    XMLInputFactory factory = XMLInputFactory.newInstance();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_NAMESPACE_AWARE, false);
    return factory;
  }

  /** Thrown for what is larger than any workbook of ours. */
  static final class TooLarge extends IOException {
    private static final long serialVersionUID = 1;

    TooLarge() {
      super("The workbook is larger than any of ours");
    }
  }

  /** Whether a file keeps to them; what is no workbook at all is somebody else's to say. */
  static boolean kept(byte[] file) {
    return size(file) <= MOST_BYTES;
  }

  /** How many bytes a file unpacks to; more than the most where it keeps to no bound. */
  static long size(byte[] file) {
    WorkbookBounds bounds = new WorkbookBounds();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        bounds.take(entry.getName(), zip);
      }
      return bounds.bytes;
    } catch (TooLarge large) {
      return MOST_BYTES + 1;
    } catch (IOException | IllegalArgumentException noZip) {
      return bounds.bytes;
    }
  }

  private void take(String name, InputStream zip) throws IOException {
    if (++files > MOST_FILES) {
      throw new TooLarge();
    }
    InputStream counted = new CountedBytes(zip);
    if (name.endsWith(".xml") || name.endsWith(".rels")) {
      try {
        count(XML.createXMLStreamReader(counted));
      } catch (XMLStreamException wrong) {
        if (bytes > MOST_BYTES) {
          throw new TooLarge();
        }
      }
    }
    counted.transferTo(OutputStream.nullOutputStream());
  }

  private void count(XMLStreamReader xml) throws XMLStreamException, TooLarge {
    int depth = 0;
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.START_ELEMENT) {
        depth++;
        pieces += 1 + xml.getAttributeCount();
      } else if (event == XMLStreamConstants.END_ELEMENT) {
        depth--;
      }
      if (pieces > MOST_PIECES || depth > MOST_DEPTH) {
        throw new TooLarge();
      }
    }
  }

  private final class CountedBytes extends FilterInputStream {
    CountedBytes(InputStream from) {
      super(from);
    }

    private int counted(int read) throws TooLarge {
      bytes += Math.max(read, 0);
      if (bytes > MOST_BYTES) {
        throw new TooLarge();
      }
      return read;
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      counted(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] to, int from, int length) throws IOException {
      return counted(super.read(to, from, length));
    }

    @Override
    public void close() {
      // the next file of the archive follows
    }
  }
}
