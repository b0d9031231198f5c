import type { Key } from 'react';
import { Button, ComboBox } from 'react-aria-components';
import styled from 'styled-components';
import { ChevronDown } from 'lucide-react';
import { Panel, PanelItem, PanelList, type Option } from './Choose';
import { FieldLabel, Problem } from './Field';
import { LateOffers, SuggestInput, SuggestLine, suggestOpener } from './Suggest';
import { widthOf, type Width } from './tokens';

const Root = styled(ComboBox<Option>)<{ $width?: Width }>`
    width: ${widthOf};
    max-width: 100%;
`;

const Opener = styled(Button)`${suggestOpener}`;

interface Props {
    label: string;
    /** Where what stands beside it says it to the eye. */
    isLabelHidden?: boolean;
    options: Option[];
    value: string;
    onChange: (id: string) => void;
    problem?: string | undefined;
    width?: Width;
}

/** One of very many, such as the countries: part of the name finds it. Without being opened it costs nothing. */
export function ChooseFromMany({ label, isLabelHidden = false, options, value, onChange, problem, width }: Props) {
    return (
        <Root
            // What is chosen is named once the list has been read.
            key={options.length === 0 ? 'unread' : 'read'}
            menuTrigger="input"
            defaultItems={options}
            selectedKey={value === '' ? null : value}
            onSelectionChange={(key: Key | null) => key !== null && onChange(String(key))}
            isInvalid={problem !== undefined}
            validationBehavior="aria"
            {...(isLabelHidden ? { 'aria-label': label } : {})}
            {...(width === undefined ? {} : { $width: width })}
        >
            {!isLabelHidden && <FieldLabel>{label}</FieldLabel>}
            <SuggestLine>
                <SuggestInput />
                <Opener><ChevronDown size={15} aria-hidden /></Opener>
            </SuggestLine>
            <Problem>{problem}</Problem>
            <LateOffers options={options} />
            <Panel>
                <PanelList>{(option: Option) => <PanelItem id={option.id} textValue={option.name}>{option.name}</PanelItem>}</PanelList>
            </Panel>
        </Root>
    );
}
