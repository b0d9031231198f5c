import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../api/client';
import { keepAnswer, officeQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Tick } from '../../ui/Choose';
import { useSay } from '../../ui/StatusLine';
import { Notice, Row, Small } from '../../ui/Text';

const ROLES: [Schemas['User']['role'], string][] = [
    ['administrator', 'Administrators'], ['clerk', 'Clerks'], ['approver', 'Approvers'], ['reader', 'Readers'],
];

/** Which roles sign in with a second factor. */
export function SecondFactorRoles() {
    const { data: office } = useQuery(officeQuery);
    const { run, message } = useSaving();
    const say = useSay();
    if (office === undefined) {
        return null;
    }
    const change = (role: Schemas['User']['role'], isRequired: boolean) => run(async () => {
        const roles = ROLES.map(([one]) => one).filter((one) => (one === role ? isRequired : office.secondFactorRoles.includes(one)));
        keepAnswer(officeQuery.queryKey, await ask(api.PUT('/api/office/second-factor', { body: { roles } })));
        say('Second factor requirement saved.');
    });
    return (
        <div role="group" aria-label="Second factor required for">
            <Small>Second factor required for</Small>
            <Row $gap="medium">
                {ROLES.map(([role, title]) => (
                    <Tick
                        key={role}
                        isSelected={office.secondFactorRoles.includes(role)}
                        onChange={(isOn) => void change(role, isOn)}
                    >
                        {title}
                    </Tick>
                ))}
            </Row>
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
        </div>
    );
}
