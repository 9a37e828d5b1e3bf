package mosaicknife.app.exchange;

import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Describes the API when somebody asks for the description, not at every start. */
@Configuration
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
