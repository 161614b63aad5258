/** Hand over: the record of the job. */
package velvetbezel.web.handover;
