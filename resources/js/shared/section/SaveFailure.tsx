import { Link } from 'react-router';
import styled from 'styled-components';
import { Refused, Unreachable, type Problem } from '../../api/client';
import { Button, MainButton } from '../../ui/Button';
import { Notice, Row } from '../../ui/Text';
import { line, space, type } from '../../ui/tokens';
import { momentText } from '../../ui/moment';
import type { SectionEdit } from './useSection';

const Compare = styled.table`
    width: 100%;
    border-collapse: collapse;
    font-size: ${type.small};
    th,
    td {
        padding: ${space.tight} ${space.small} ${space.tight} 0;
        border-bottom: ${line.rule};
        text-align: left;
        vertical-align: top;
    }
    td {
        overflow-wrap: anywhere;
    }
`;

/** Why a section could not be saved, and what can be done about it. What was typed stays. */
export function SaveFailure<D>({ edit }: { edit: SectionEdit<D> }) {
    const { failure, save } = edit;
    if (failure === undefined) {
        return null;
    }
    if (failure instanceof Unreachable) {
        return (
            <div data-failure tabIndex={-1}>
                <Notice tone="stop" title="Not saved: the server cannot be reached">
                    <span>What you typed is still here. Try again in a moment.</span>
                    <Button onPress={() => void save()}>Retry</Button>
                </Notice>
            </div>
        );
    }
    if (failure instanceof Refused && failure.isStale) {
        return <Conflict edit={edit} problem={failure.problem} />;
    }
    return (
        <div data-failure tabIndex={-1}>
            <Notice tone="stop" title={failure instanceof Refused ? failure.problem.title : 'Not saved'}>
                <span>{failure.message}</span>
                {failure instanceof Refused && failure.problem.movedTo !== undefined && (
                    <Link to={`/records/${failure.problem.movedTo}`} target="_blank">Open {failure.problem.movedToName} in a window of its own</Link>
                )}
            </Notice>
        </div>
    );
}

/** Two people saved one section: both values, and the choice between them. */
function Conflict<D>({ edit, problem }: { edit: SectionEdit<D>; problem: Problem }) {
    const who = problem.savedBy ?? 'Somebody';
    return (
        <div data-failure tabIndex={-1}>
            <Notice
                tone="look"
                title={`${who} saved this ${problem.savedAt == null ? 'in the meantime' : `at ${momentText(problem.savedAt)}`}`}
            >
                {problem.differences?.length === 0 ? (
                    <span>You both saved the same.</span>
                ) : (
                    <Compare>
                        <thead><tr><th scope="col">What</th><th scope="col">Kept now, by {who}</th><th scope="col">Yours</th></tr></thead>
                        <tbody>
                            {problem.differences?.map(({ label, theirs, yours }) => (
                                <tr key={label + theirs + yours}>
                                    <th scope="row">{label}</th>
                                    <td>{theirs === '' ? 'not there' : theirs}</td>
                                    <td>{yours === '' ? 'not there' : yours}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Compare>
                )}
                <Row $gap="small">
                    <MainButton onPress={() => void edit.saveMine()}>Save mine instead</MainButton>
                    <Button onPress={() => void edit.takeTheirs()}>Keep theirs</Button>
                </Row>
            </Notice>
        </div>
    );
}
