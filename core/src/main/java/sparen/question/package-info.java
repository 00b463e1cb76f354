/** What is asked of a plan and what is answered, the same on a server and in a browser. */
package sparen.question;
