import type { Application } from '../../foundation/settings/index.ts';
import { boxFactIds, type BoxFactId, type UnitDescription } from '../../foundation/unit/index.ts';
import {
  templateIds,
  templates,
  wallArea,
  type BoxChoice,
  type TemplateId,
} from '../../machines/box/index.ts';

/** Polyurethane foam, W/(m·K), and a double-glazed door, W/(m²·K). Common practice. */
const FOAM = 0.024;
const GLAZED = 2.8;
/** Foam of a kind whose mean is mostly its glass, mm. Common practice. */
const CABINET_WALL = 40;

/** Kinds whose box is asked for: with walls of foam and a door. A tank has its own facts, a transport unit its body. */
export const hasOwnBox = (application: Application): application is TemplateId =>
  (templateIds as readonly Application[]).includes(application) &&
  application !== 'chilledWaterTank' &&
  application !== 'transportUnit';

/** The box a kind is usually met with, in the words it is asked in: m³, mm, m². */
export function usualBox(id: TemplateId, volume: number = templates[id].volume): Record<BoxFactId, number> {
  const { conductance, door } = templates[id];
  const glassy = id === 'merchandiser';
  const boxWall = glassy ? CABINET_WALL : (1000 * FOAM) / conductance;
  const foam = (1000 * FOAM) / boxWall;
  return {
    boxVolume: volume,
    boxWall,
    boxGlass: glassy ? (wallArea(volume) * (conductance - foam)) / (GLAZED - foam) : 0,
    boxDoor: door.width * door.height,
  };
}

/** Mean conductance of walls of foam with glass in them, W/(m²·K). */
const meanConductance = (volume: number, wall: number, glass: number): number => {
  const foam = (1000 * FOAM) / wall;
  const share = Math.min(1, glass / wallArea(volume));
  return foam + share * (GLAZED - foam);
};

/**
 * What was measured of a unit's own box: it scales the kind's box, and its machine with it. Nothing where nothing was measured. A transport unit's body is the one that its
 * pre-cooling is worked out for.
 */
export function ownBox({ application, facts = {} }: UnitDescription): BoxChoice {
  if (application === 'transportUnit') {
    const { bodyLength, bodyWidth, bodyHeight, bodyInsulation } = facts;
    const measured = bodyLength !== undefined && bodyWidth !== undefined && bodyHeight !== undefined;
    return {
      ...(measured && { volume: bodyLength * bodyWidth * bodyHeight }),
      ...(bodyInsulation !== undefined && { insulationFactor: bodyInsulation }),
    };
  }
  if (!hasOwnBox(application) || boxFactIds.every((id) => facts[id] === undefined)) return {};
  const usual = usualBox(application, facts.boxVolume);
  const walls = facts.boxWall !== undefined || facts.boxGlass !== undefined;
  const conductance = meanConductance(
    usual.boxVolume,
    facts.boxWall ?? usual.boxWall,
    facts.boxGlass ?? usual.boxGlass,
  );
  return {
    ...(facts.boxVolume !== undefined && { volume: facts.boxVolume }),
    ...(walls && { conductance }),
    ...(facts.boxDoor !== undefined && { doorArea: facts.boxDoor }),
  };
}
