<?php

declare(strict_types=1);

namespace App\Register;

/** Whatever points to a case or a project, in one list. A test says when a table was not added. */
final class EngagementReferences
{
    /** @return list<Reference> */
    public static function all(): array
    {
        return [
            Reference::binding('documents', 'engagement_id', 'document or payment', 'documents and payments'),
            Reference::binding('payments', 'engagement_id', 'document or payment', 'documents and payments'),

            Reference::binding('messages', 'engagement_id', 'message', 'messages'),

            ...References::ofSubject(),
            Reference::owned('engagement_moves', 'engagement_id'),
            Reference::owned('engagement_parties', 'engagement_id'),
            Reference::owned('engagement_links', 'from_id', AtUniqueKey::Goes),
            Reference::owned('engagement_links', 'to_id', AtUniqueKey::Goes),
            Reference::owned('engagement_users', 'engagement_id', AtUniqueKey::Goes),
            Reference::owned('conflict_searches', 'engagement_id'),
            Reference::owned('letter_runs', 'engagement_id'),
            Reference::derived('engagement_words', 'rowid'),
        ];
    }
}
