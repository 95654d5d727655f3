/**
 * Job cards: what is done at the bench, step by step. A job is a script of typed steps with conditions and branches; a
 * walk replays the answers given so far and tells the step that is open. Nothing is kept here but the scripts: the same
 * script, facts and answers always give the same walk.
 */
package org.stratopneum.core.job;
