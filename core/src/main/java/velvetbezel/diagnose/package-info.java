/**
 * Finding what is wrong: faults derived from the installation, what each would show, and what to try next.
 *
 * <p>Entry points: {@link velvetbezel.diagnose.SymptomTable#of}, {@link velvetbezel.diagnose.Diagnosis#of}.
 */
package velvetbezel.diagnose;
