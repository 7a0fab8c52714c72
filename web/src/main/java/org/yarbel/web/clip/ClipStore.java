package org.yarbel.web.clip;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.yarbel.web.YarbelProperties;

/**
 * The files of clips, a folder a club, beside the data. A file is called by the SHA-256 of what is in it, and one on its way by the key
 * of its upload: no name from outside ever comes near a path.
 */
@Component
public class ClipStore {
  private static final int BUFFER = 1 << 16;

  private final Path root;

  ClipStore(YarbelProperties properties) throws IOException {
    this.root = properties.data() == null ? Files.createTempDirectory("yarbel-clips-") : properties.data().resolve("clips");
  }

  private Path folder(long club) {
    return root.resolve(Long.toString(club));
  }

  /** Where a kept film is. */
  public Path kept(long club, String sha256) {
    return folder(club).resolve(sha256.substring(0, 2)).resolve(sha256);
  }

  private Path part(long club, UUID key) {
    return folder(club).resolve("parts").resolve(key.toString());
  }

  /** Writes a piece at its place, and all of it to the disk before anybody is told. */
  void write(long club, UUID key, long at, byte[] piece) {
    Path part = part(club, key);
    try {
      Files.createDirectories(part.getParent());
      try (FileChannel file = FileChannel.open(part, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
        ByteBuffer bytes = ByteBuffer.wrap(piece);
        long place = at;
        while (bytes.hasRemaining()) {
          place += file.write(bytes, place);
        }
        file.truncate(at + piece.length);
        file.force(true);
      }
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  /** So many bytes of one on its way are truly there. */
  long there(long club, UUID key) {
    try {
      return Files.exists(part(club, key)) ? Files.size(part(club, key)) : 0;
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  /** The first bytes of one on its way. */
  byte[] head(long club, UUID key) {
    try (InputStream in = Files.newInputStream(part(club, key))) {
      return in.readNBytes(ClipFormat.HEAD);
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  /** Keeps one that is all there; its SHA-256. */
  String keep(long club, UUID key) {
    Path part = part(club, key);
    try {
      String sha256 = fingerprint(part);
      Path kept = kept(club, sha256);
      Files.createDirectories(kept.getParent());
      Files.move(part, kept, StandardCopyOption.REPLACE_EXISTING);
      return sha256;
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  private static String fingerprint(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      byte[] buffer = new byte[BUFFER];
      for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
        digest.update(buffer, 0, read);
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (NoSuchAlgorithmException never) {
      throw new IllegalStateException(never);
    }
  }

  /** Takes a film that comes with a whole club; false when it is not what it is called, and nothing is kept then. */
  public boolean take(long club, String sha256, InputStream film) {
    UUID key = UUID.randomUUID();
    try {
      Path part = part(club, key);
      Files.createDirectories(part.getParent());
      Files.copy(film, part);
      if (!fingerprint(part).equals(sha256)) {
        Files.delete(part);
        return false;
      }
      Path kept = kept(club, sha256);
      Files.createDirectories(kept.getParent());
      Files.move(part, kept, StandardCopyOption.REPLACE_EXISTING);
      return true;
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  /** Drops all of a club. */
  public void dropAll(long club) {
    if (!Files.isDirectory(folder(club))) {
      return;
    }
    try (Stream<Path> all = Files.walk(folder(club))) {
      all.sorted(Comparator.reverseOrder()).forEach(ClipStore::delete);
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  /** Drops what is there of one on its way. */
  void drop(long club, UUID key) {
    delete(part(club, key));
  }

  /** Drops a kept film. */
  public void drop(long club, String sha256) {
    delete(kept(club, sha256));
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }
}
