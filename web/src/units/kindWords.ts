import { partWords } from '@brine/core/judgement/learning';
import { parameters, type ParameterId, type Priors } from '@brine/core/machines/identification';

const usualOf = (id: ParameterId) => parameters.find((p) => p.id === id)!.usual;

/** What boxes of a kind have in common, each part against the usual one: “the machine gives 72 % of the usual, two of three between 65 and 80 %”. Empty where their logs told none of them. */
export function kindWords(priors: Priors): readonly string[] {
  return (Object.keys(partWords) as ParameterId[]).flatMap((id) => {
    const prior = priors[id];
    if (!prior) return [];
    const by = prior.usual - usualOf(id);
    const percent = (of: number) => Math.round(100 * Math.exp(of));
    return [
      `${partWords[id]} ${percent(by)} % of the usual, two of three between ${percent(by - prior.spread)} and ${percent(by + prior.spread)} %`,
    ];
  });
}
