import { useSession } from '../api/session';

const AMERICAN = { check: 'check', zip: 'ZIP code', city: 'City', state: 'State', costCentre: 'cost center', costCentres: 'Cost centers' };
const BRITISH = {
    check: 'cheque',
    zip: 'Postcode',
    city: 'Town or city',
    state: 'County or region',
    costCentre: 'cost centre',
    costCentres: 'Cost centres',
};

/** What an office of that country calls things. */
export function useOfficeWords(): typeof AMERICAN {
    return useSession().officeCountry === 'US' ? AMERICAN : BRITISH;
}
