package org.yarbel.web.account;

import io.github.wimdeblauwe.htmx.spring.boot.security.HxRefreshHeaderAuthenticationEntryPoint;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.web.filter.OncePerRequestFilter;

/** Who may ask what, and what browsers may do with our pages. */
@Configuration
class SecurityConfig {
  /** Everything from us, nothing inline, nothing evaluated. Bootstrap's own icons are data addresses in its sheet. */
  private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
      + "img-src 'self' data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; "
      + "form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  @Bean
  PasswordEncoder passwordEncoder() {
    return new DelegatingPasswordEncoder(
        "argon2id", Map.of("argon2id", Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8()));
  }

  /** The calculator API: open, stateless, without cookie or token. */
  @Bean
  @Order(1)
  SecurityFilterChain calculator(HttpSecurity http) throws Exception {
    return http.securityMatcher("/api/**")
        .csrf(csrf -> csrf.disable())
        .requestCache(cache -> cache.disable())
        .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY)))
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .build();
  }

  @Bean
  @Order(2)
  SecurityFilterChain pages(HttpSecurity http, SignInLimits limits) throws Exception {
    return http
        .authorizeHttpRequests(requests -> requests
            .requestMatchers("/login", "/setup", "/css/**", "/js/**", "/fonts/**", "/webjars/**", "/favicon.svg",
                "/favicon.ico", "/error", "/sw.js", "/offline", "/feeds/*").permitAll()
            .requestMatchers("/", "/me", "/account", "/sessions/*/card", "/sessions/*/sets", "/sessions/*/end", "/sessions/*/go-on", "/keys", "/lifters/*/ledger",
                "/lifters/*/calendar", "/lifters/*/calendar.ics", "/lifters/*/calendar/revoke", "/workbench", "/workbench/*").authenticated()
            .anyRequest().hasRole(Role.COACH.name()))
        .formLogin(form -> form.loginPage("/login")
            .usernameParameter("email")
            .successHandler((request, response, who) -> {
              limits.succeeded(who.getName());
              new SavedRequestAwareAuthenticationSuccessHandler().onAuthenticationSuccess(request, response, who);
            })
            .failureHandler((request, response, why) -> {
              limits.failed(emailOf(request), request.getRemoteAddr());
              request.getSession().setAttribute(SignInController.TYPED_EMAIL, emailOf(request));
              response.sendRedirect("/login?wrong");
            }))
        .logout(logout -> logout.logoutSuccessUrl("/login?out"))
        .addFilterBefore(new LimitFilter(limits), UsernamePasswordAuthenticationFilter.class)
        .exceptionHandling(errors -> errors.authenticationEntryPoint(toSignIn()))
        .headers(headers -> headers
            .contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY))
            .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
            .permissionsPolicyHeader(policy -> policy.policy("camera=(), geolocation=(), microphone=()")))
        .build();
  }

  /** A page sends a stranger to sign in; a fragment reloads its page, which does. */
  private static AuthenticationEntryPoint toSignIn() {
    AuthenticationEntryPoint fragments = new HxRefreshHeaderAuthenticationEntryPoint();
    AuthenticationEntryPoint pages = new LoginUrlAuthenticationEntryPoint("/login");
    return (request, response, why) ->
        (request.getHeader("HX-Request") == null ? pages : fragments).commence(request, response, why);
  }

  private static String emailOf(HttpServletRequest request) {
    String email = request.getParameter("email");
    return email == null ? "" : email.substring(0, Math.min(email.length(), 200));
  }

  /** Answers sign-in attempts beyond the limit before a password is looked at. */
  private static final class LimitFilter extends OncePerRequestFilter {
    private static final PathPatternRequestMatcher.Builder PATHS = PathPatternRequestMatcher.withDefaults();

    private final PathPatternRequestMatcher signIn =
        PATHS.matcher(HttpMethod.POST, "/login");
    private final SignInLimits limits;

    LimitFilter(SignInLimits limits) {
      this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      if (signIn.matches(request) && limits.exceeded(emailOf(request), request.getRemoteAddr())) {
        request.getSession().setAttribute(SignInController.TYPED_EMAIL, emailOf(request));
        response.setHeader("Retry-After", Long.toString(SignInLimits.WINDOW.toSeconds()));
        response.sendRedirect("/login?wait");
        return;
      }
      chain.doFilter(request, response);
    }
  }
}
