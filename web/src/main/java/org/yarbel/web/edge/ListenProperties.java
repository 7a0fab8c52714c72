package org.yarbel.web.edge;

import java.nio.file.Path;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How others than this machine reach it; decided by the launcher.
 *
 * @param tlsOnly whether what does not come by TLS is only told the address that does
 * @param plain where plain HTTP is listened to beside, each {@code address:port}
 * @param trust the root certificate of the club's own authority, offered for phones; null where there is none
 */
@ConfigurationProperties("yarbel.listen")
public record ListenProperties(boolean tlsOnly, @Nullable List<String> plain, @Nullable Path trust) {
  public ListenProperties {
    plain = plain == null ? List.of() : List.copyOf(plain);
  }

  @Override
  public List<String> plain() {
    return plain == null ? List.of() : plain;
  }
}
