export type ApexOptions = Record<string, unknown>;
declare const none: object;
export default none;
