package org.yarbel.web.once;

import org.springframework.boot.webmvc.autoconfigure.DispatcherServletAutoConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Puts both in their place. */
@Configuration
class Once implements WebMvcConfigurer {
  private final OnceInterceptor once;

  Once(OnceInterceptor once) {
    this.once = once;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(once).excludePathPatterns("/api/**", "/sensor", "/login", "/logout", "/error");
  }

  @Bean(name = DispatcherServletAutoConfiguration.DEFAULT_DISPATCHER_SERVLET_BEAN_NAME)
  static DispatcherServlet dispatcherServlet() {
    return new TwiceDispatcher();
  }
}
