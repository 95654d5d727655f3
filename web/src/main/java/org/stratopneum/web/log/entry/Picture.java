package org.stratopneum.web.log.entry;

/**
 * A picture as it is kept.
 *
 * @param mediaType image/jpeg or image/png
 * @param width in pixels, the right way up
 * @param bytes the file, made anew: the picture and nothing else
 */
public record Picture(String mediaType, int width, int height, byte[] bytes) {}
