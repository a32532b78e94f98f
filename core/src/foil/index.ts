export * from './foilBody';
export * from './foilHeadroom';
