package org.yarbel.web.reach;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HexFormat;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.yarbel.web.edge.Address;
import org.yarbel.web.edge.ListenProperties;
import org.yarbel.web.edge.QrCode;
import org.yarbel.web.problem.NotFound;

/** Offers the root of the club's own authority, which a phone is to trust once, and says where the application is reached. */
@Controller
class TrustController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH).withZone(ZoneOffset.UTC);

  private final @Nullable Path root;
  private final ListenProperties listen;
  private final Address address;

  TrustController(ListenProperties listen, Address address) {
    this.root = listen.trust();
    this.listen = listen;
    this.address = address;
  }

  @GetMapping("/trust")
  String page(Model model) throws IOException, GeneralSecurityException {
    X509Certificate certificate = certificate();
    String digits = HexFormat.ofDelimiter(":").withUpperCase()
        .formatHex(MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded()));
    model.addAttribute("fingerprint", digits);
    model.addAttribute("name", certificate.getSubjectX500Principal().getName().replaceFirst("(?s)^CN=((?:[^\\\\,]|\\\\.)*).*", "$1")
        .replace("\\", ""));
    model.addAttribute("until", DAY.format(certificate.getNotAfter().toInstant()));
    model.addAttribute("address", address.base());
    return "reach/trust";
  }

  /** The certificate, as phones take it. */
  @GetMapping("/trust/yarbel-root.crt")
  ResponseEntity<byte[]> certificateFile() throws IOException, GeneralSecurityException {
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_TYPE, "application/x-x509-ca-cert")
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"yarbel-root.crt\"").body(certificate().getEncoded());
  }

  private X509Certificate certificate() throws IOException, GeneralSecurityException {
    if (root == null) {
      throw new NotFound();
    }
    try (InputStream in = Files.newInputStream(root)) {
      return (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
    }
  }

  /** Says the address to the window where it was started, as a square for a phone's camera. */
  @EventListener(ApplicationReadyEvent.class)
  void say() {
    if (listen.tlsOnly()) {
      System.out.println("Address begins\n" + QrCode.inText(address.base()) + "Address ends");
    }
  }
}
