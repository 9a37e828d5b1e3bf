/**
 * Backups as files that nobody is trusted with: sealed with the key of the house, and put back as
 * rows alone, into tables our own migrations made. Runs apart from the application, by the script.
 */
package mosaicknife.app.backup;
