export const holdIds = ['HP0', 'HP1', 'HP2', 'HP3', 'HP4', 'HP5', 'HP6', 'HP7', 'HP8', 'HP9', 'HP10', 'HP11', 'HP12', 'HP13', 'HP20', 'HP21', 'HP26'] as const;
export type HoldId = (typeof holdIds)[number];
