package org.yarbel.web.edge;

import java.util.Optional;
import org.springframework.stereotype.Component;

/** What hangs at the wall of a gym: where the application is reached. */
@Component
public class HouseSign {
  private final Address address;
  private final ListenProperties listen;

  HouseSign(Address address, ListenProperties listen) {
    this.address = address;
    this.listen = listen;
  }

  /**
   * The address, as a square too.
   *
   * @param own whether the club's own authority speaks for it, which a phone is to trust once
   */
  public record Sign(String address, QrCode qr, boolean own) {}

  /** Empty where only this machine can reach it. */
  public Optional<Sign> sign() {
    return Optional.of(address.base()).filter(base -> address.reachable())
        .map(base -> new Sign(base, QrCode.of(base), listen.trust() != null));
  }
}
