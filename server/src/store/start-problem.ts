/** Why the server cannot open its data, in one plain sentence with what to do. */
export class StartProblem extends Error {}
