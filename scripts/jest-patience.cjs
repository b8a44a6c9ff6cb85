// Time-outs are made for a machine that is busy with something else.
jest.setTimeout(120_000);
