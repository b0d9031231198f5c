import { queryOptions } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../client';
import { forget, keepAnswer } from './cache';

export function meetingQuery(id: number) {
    return queryOptions({
        queryKey: ['meetings', id],
        queryFn: () => ask(api.GET('/api/meetings/{meeting}', { params: { path: { meeting: id } } })),
    });
}

/** A meeting as a change of it has answered it; it stands in the history of all who come. */
export function keepMeeting(meeting: Schemas['Meeting']): void {
    keepAnswer(meetingQuery(meeting.id).queryKey, meeting);
    void forget(['records', 'stream'], ['engagements', 'stream'], ['today']);
}
