package org.yarbel.web.account;

import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.web.who.SignedIn;

/** Tells a page that was kept on a phone the token in force and whose sign-in it is, before it sends what waits. */
@RestController
class TokenController {
  /** What a page needs to send something. */
  record TokenTold(String token, long account) {}

  @GetMapping("/token")
  ResponseEntity<TokenTold> token(CsrfToken token, @AuthenticationPrincipal SignedIn who) {
    return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(new TokenTold(token.getToken(), who.accountId()));
  }
}
