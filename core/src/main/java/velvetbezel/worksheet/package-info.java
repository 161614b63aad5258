/**
 * What is done at the bench: joints in working order, exceptions to colour-for-colour, caps.
 *
 * <p>Entry point: {@link velvetbezel.worksheet.Worksheet#of}. Nothing here is stored: it is read off the
 * installation, and its readings come from running it.
 */
package velvetbezel.worksheet;
