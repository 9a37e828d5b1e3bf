package mosaicknife.app.device;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where the label printer is.
 *
 * @param host the host of its socket
 * @param port its port; 0 means there is none, or any free port for the stand-in
 * @param standIn whether to start the stand-in
 */
@ConfigurationProperties("mosaic.labels")
record LabelSettings(String host, int port, boolean standIn) {}
