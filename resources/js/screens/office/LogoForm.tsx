import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { keepAnswer, officeQuery } from '../../api/queries';
import { uploadLogo } from '../../api/upload';
import { useSaving } from '../../api/useSaving';
import { Button } from '../../ui/Button';
import { DropPlace, Progress } from '../../ui/DropPlace';
import { useSay } from '../../ui/StatusLine';
import { Notice, Row, Small, Stack, SubHeading } from '../../ui/Text';
import { line, space, widths } from '../../ui/tokens';

/** On white, as on paper. */
const Picture = styled.img`
    max-width: min(${widths.line}, 100%);
    height: 4.5em;
    padding: ${space.small};
    border: ${line.rule};
    background: var(--print);
    object-fit: contain;
    object-position: left;
`;

/** The logo on the papers of the office: chosen, shown, removed. */
export function LogoForm() {
    const { data: office } = useQuery(officeQuery);
    const { run, problems, message } = useSaving();
    const [part, setPart] = useState<number>();
    const say = useSay();
    if (office === undefined) {
        return null;
    }
    const put = (saved: Schemas['Office'], done: string) => {
        keepAnswer(officeQuery.queryKey, saved);
        say(done);
    };
    const send = ([file]: File[]) => file !== undefined && run(async () => {
        try {
            put(await uploadLogo(file, setPart), 'Logo saved.');
        } finally {
            setPart(undefined);
        }
    });
    const problem = problems.file ?? message;

    return (
        <Stack $gap="small" role="group" aria-label="Logo">
            <SubHeading>Logo on your papers</SubHeading>
            {office.logo !== null && <Row><Picture src={office.logo} alt="The logo of the office" /></Row>}
            <DropPlace label={office.logo === null ? 'Choose a logo' : 'Choose another logo'} onFiles={(files) => void send(files)}>
                {part === undefined ? (
                    <span>or drag it here: PNG, JPEG, GIF or WebP, up to 5 MB</span>
                ) : (
                    <>
                        <Progress aria-label="Sending the logo" max={1} value={part} />
                        <Small>{Math.round(part * 100)}%</Small>
                    </>
                )}
                {office.logo !== null && (
                    <Button onPress={() => void run(async () => put(await ask(api.DELETE('/api/office/logo')), 'Logo removed.'))}>
                        Remove the logo
                    </Button>
                )}
            </DropPlace>
            {problem !== undefined && <Notice tone="stop" title="Not saved">{problem}</Notice>}
        </Stack>
    );
}
