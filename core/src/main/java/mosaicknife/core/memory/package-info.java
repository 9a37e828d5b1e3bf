/** Answers that are remembered: the same question is not worked out twice. */
package mosaicknife.core.memory;
