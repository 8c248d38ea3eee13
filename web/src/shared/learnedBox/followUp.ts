/** The follow-up that asks for the log that a prediction is held against: there once. */
export const PREDICTION_FOLLOW_UP = 'prediction';
