import { useQuery } from '@tanstack/react-query';
import { Refused, type Schemas } from '../../api/client';
import { writtenLetterQuery } from '../../api/queries';
import { useQuiet } from '../../api/useQuiet';
import { Paper } from '../../ui/Paper';
import { Mark, Quiet } from '../../ui/Text';

/** How the letter reads for whom it is to; what is wrong with it, at its field. */
export function useLetterPreview(input: Schemas['LetterInput']) {
    const asked = useQuiet(input);
    const isWritten = asked.body.trim() !== '' && (asked.chosen.isAll || asked.chosen.ids.length > 0);
    const { data, error } = useQuery({ ...writtenLetterQuery(asked), enabled: isWritten });
    const problems: Record<string, string> = isWritten && error instanceof Refused ? error.fields : {};
    return {
        letter: isWritten && error === null ? data : undefined,
        problems,
        message: isWritten && error !== null && Object.keys(problems).length === 0 ? error.message : undefined,
    };
}

interface Props {
    letter: Schemas['WrittenLetter'] | undefined;
    isEmail: boolean;
    message: string | undefined;
    /** What is said where there is none yet. */
    nothing: string;
}

export function LetterPreview({ letter, isEmail, message, nothing }: Props) {
    return (
        <Paper aria-label="How it reads" aria-live="polite">
            {message !== undefined && <Mark tone="stop">{message}</Mark>}
            {letter === undefined && message === undefined && <Quiet>{nothing}</Quiet>}
            {letter !== undefined && (
                <>
                    <div>{isEmail ? `To: ${letter.to.join(', ')}` : letter.address.join('\n')}</div>
                    {!isEmail && <div>{letter.day}</div>}
                    {letter.subject !== '' && <strong>{letter.subject}</strong>}
                    <div>{letter.body}</div>
                </>
            )}
        </Paper>
    );
}
