package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.OpenAPIDefinition;
import io.swagger.v3.oas.annotations.enums.SecuritySchemeType;
import io.swagger.v3.oas.annotations.info.Info;
import io.swagger.v3.oas.annotations.info.License;
import io.swagger.v3.oas.annotations.security.SecurityRequirement;
import io.swagger.v3.oas.annotations.security.SecurityScheme;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Describes the API when somebody asks for the description, not at every start. */
@Configuration
@OpenAPIDefinition(
    info =
        @Info(
            title = "Mosaic Knife",
            version = "1",
            description = "Lots, weighings and the evaluation of a breakdown.",
            license = @License(name = "Apache-2.0", identifier = "Apache-2.0")),
    security = @SecurityRequirement(name = "token"))
@SecurityScheme(
    name = "token",
    type = SecuritySchemeType.HTTP,
    scheme = "bearer",
    description = "From POST /api/v1/tokens; ends after 30 days.")
class LazyApiDescription {

  @Bean
  static BeanFactoryPostProcessor describeLazily() {
    return factory -> {
      for (String name : factory.getBeanDefinitionNames()) {
        BeanDefinition definition = factory.getBeanDefinition(name);
        String type = definition.getBeanClassName();
        String maker = definition.getFactoryBeanName();
        if (isDescription(type) || isDescription(maker)) {
          definition.setLazyInit(true);
        }
      }
    };
  }

  private static boolean isDescription(String name) {
    return name != null && name.startsWith("org.springdoc");
  }
}
