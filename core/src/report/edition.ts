/** Version of the product: a report says by which one its rules were asked. */
export const EDITION = '0.1.0';
