import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { useSession } from '../../api/session';
import { Small } from '../../ui/Text';
import { line, narrow, print, size, space, type, widths } from '../../ui/tokens';

type Part = Schemas['StageBand'];

const Root = styled.div`
    display: grid;
    gap: ${space.small};
    width: 100%;
    ${print} { display: none; }
`;

const Band = styled.div`
    display: flex;
    gap: ${space.hair};
    width: 100%;
    ${narrow} { flex-wrap: wrap; }
`;

const Stage = styled.button<{ $share: number }>`
    display: grid;
    flex: ${({ $share }) => $share} 1 ${widths.mark};
    align-content: start;
    min-width: 0;
    min-height: ${size.target};
    padding: ${space.tight} ${space.small};
    border: 0;
    border-top: ${line.edge};
    background: transparent;
    color: var(--ink);
    font: inherit;
    font-size: ${type.small};
    text-align: left;
    overflow-wrap: anywhere;
    cursor: pointer;

    &:hover { background: var(--wash); }
    &:focus-visible { outline: ${line.focus}; }
    &[aria-pressed='true'] { background: var(--accent-wash); border-top-color: var(--accent); font-weight: 600; }
    &[data-empty='true'] { color: var(--quiet); }
    b { font: 600 ${type.heading}/1.3 ${type.serif}; }
`;

interface Props {
    band: Part[];
    chosen: number | undefined;
    onChoose: (stageId: number | undefined) => void;
}

/** The stages of each kind in the list, each as wide as its share of it, with how many stand there and what they come to. */
export function StageBand({ band, chosen, onChoose }: Props) {
    const kinds = [...new Set(band.map(({ kindPlural }) => kindPlural))];
    return (
        <Root>
            {kinds.map((kind) => (
                <div key={kind}>
                    {kinds.length > 1 && <Small>{kind}</Small>}
                    <Band role="group" aria-label={`Stages of ${kind}`}>
                        {band.filter(({ kindPlural }) => kindPlural === kind).map((part) => (
                            <OneStage key={part.stage.id} part={part} isChosen={chosen === part.stage.id} onChoose={onChoose} />
                        ))}
                    </Band>
                </div>
            ))}
        </Root>
    );
}

function OneStage({ part, isChosen, onChoose }: { part: Part; isChosen: boolean; onChoose: Props['onChoose'] }) {
    const { officeCurrency } = useSession();
    const { stage, count, sums } = part;
    return (
        <Stage
            type="button"
            $share={count + 1}
            data-empty={count === 0}
            aria-pressed={isChosen}
            onClick={() => onChoose(isChosen ? undefined : stage.id)}
        >
            <span><b>{count}</b> {stage.name}</span>
            {sums.map(({ currency, text }) => (
                <span key={currency}>
                    {currency === officeCurrency ? text : `${currency} ${text}`}{stage.meaning === 'enquiry' && ' weighed'}
                </span>
            ))}
        </Stage>
    );
}
