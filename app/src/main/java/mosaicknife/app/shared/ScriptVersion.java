package mosaicknife.app.shared;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.Map;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * Gives the scripts one version, made of what is in all of them: a module names its neighbours by
 * their plain names, so the version stands in the folder and not in the file name.
 */
class ScriptVersion implements EnvironmentPostProcessor {

  private static final String SCRIPTS = "classpath*:static/**/*.js";
  private static final int SHOWN_BYTES = 8;

  @Override
  public void postProcessEnvironment(
      ConfigurableEnvironment environment, SpringApplication application) {
    environment
        .getPropertySources()
        .addLast(new MapPropertySource("scripts", Map.of("mosaic.scripts", version())));
  }

  private static String version() {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      Resource[] scripts = new PathMatchingResourcePatternResolver().getResources(SCRIPTS);
      Arrays.sort(scripts, Comparator.comparing(Resource::getFilename));
      for (Resource script : scripts) {
        digest.update(script.getContentAsByteArray());
      }
      return HexFormat.of().formatHex(digest.digest(), 0, SHOWN_BYTES);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
