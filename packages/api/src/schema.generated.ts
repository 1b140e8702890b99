/** Made by npm run api:types; do not edit. */
export interface paths {
    "/api/v1/backups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["BackupController_list"];
        put?: never;
        post: operations["BackupController_make"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/jobs/troubled": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["JobsController_troubled"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/jobs/{id}/retry": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["JobsController_retry"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me/directory": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DirectoryController_begin"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me/directory/answer": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DirectoryController_arrive"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SessionController_me"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me/session": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SessionController_signIn"];
        delete: operations["SessionController_signOut"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me/sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SessionController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me/sessions/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["SessionController_end"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me/password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SessionController_password"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/owner": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PeopleController_owner"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["PeopleController_remove"];
        options?: never;
        head?: never;
        patch: operations["PeopleController_change"];
        trace?: never;
    };
    "/api/v1/people/{id}/reset": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PeopleController_reset"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/invitations": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleController_open"];
        put?: never;
        post: operations["PeopleController_invite"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/invitations/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["PeopleController_takeBack"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/join/{token}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleController_read"];
        put?: never;
        post: operations["PeopleController_join"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/presence": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PresenceController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/me/places/{window}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["PresenceController_be"];
        post?: never;
        delete: operations["PresenceController_leave"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/masks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["MasksController_take"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ImportsController_list"];
        put?: never;
        post: operations["ImportsController_take"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports/decide": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ImportsController_decide"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports/clear": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ImportsController_clear"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LibraryController_many"];
        put?: never;
        post: operations["LibraryController_bringIn"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/search": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LibraryController_search"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/change": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LibraryController_changeMany"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LibraryController_undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LibraryController_get"];
        put?: never;
        post?: never;
        delete: operations["LibraryController_remove"];
        options?: never;
        head?: never;
        patch: operations["LibraryController_change"];
        trace?: never;
    };
    "/api/v1/references/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LibraryController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}/gives": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LibraryController_gives"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["LibraryController_replaceFile"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}/preparation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["LibraryController_prepare"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}/corrections": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch: operations["LibraryController_correct"];
        trace?: never;
    };
    "/api/v1/references/{id}/versions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LibraryController_versions"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}/versions/{number}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LibraryController_goBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}/split": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LibraryController_split"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/collections": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CollectionsController_list"];
        put?: never;
        post: operations["CollectionsController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/collections/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CollectionsController_get"];
        put?: never;
        post?: never;
        delete: operations["CollectionsController_remove"];
        options?: never;
        head?: never;
        patch: operations["CollectionsController_change"];
        trace?: never;
    };
    "/api/v1/collections/{id}/arrange": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CollectionsController_arrange"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/collections/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CollectionsController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/shelf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ShelfController_list"];
        put?: never;
        post: operations["ShelfController_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/shelf/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["ShelfController_remove"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/looks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LooksController_list"];
        put?: never;
        post: operations["LooksController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/looks/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LooksController_get"];
        put?: never;
        post?: never;
        delete: operations["LooksController_remove"];
        options?: never;
        head?: never;
        patch: operations["LooksController_change"];
        trace?: never;
    };
    "/api/v1/looks/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LooksController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/looks/{id}/duplicate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LooksController_duplicate"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/looks/{id}/reading": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LooksController_read"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cast": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CastController_list"];
        put?: never;
        post: operations["CastController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cast/candidates": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CastController_candidates"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cast/pick": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CastController_pick"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cast/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CastController_get"];
        put?: never;
        post?: never;
        delete: operations["CastController_remove"];
        options?: never;
        head?: never;
        patch: operations["CastController_change"];
        trace?: never;
    };
    "/api/v1/cast/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CastController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cast/{id}/reading": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CastController_read"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/projects": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ProjectsController_list"];
        put?: never;
        post: operations["ProjectsController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/projects/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ProjectsController_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch: operations["ProjectsController_change"];
        trace?: never;
    };
    "/api/v1/projects/{id}/arrange": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ProjectsController_arrange"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/projects/{id}/members/{person}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["ProjectsController_putMember"];
        post?: never;
        delete: operations["ProjectsController_removeMember"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/mixes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["MixesController_list"];
        put?: never;
        post: operations["MixesController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/mixes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["MixesController_get"];
        put?: never;
        post?: never;
        delete: operations["MixesController_remove"];
        options?: never;
        head?: never;
        patch: operations["MixesController_change"];
        trace?: never;
    };
    "/api/v1/mixes/{id}/versions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["MixesController_versionsOf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports/from-take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FromTakeController_takeOver"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}/outlines": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["OutlinesController_outlines"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/looks/{id}/sample": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SamplesController_sample"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_list"];
        put?: never;
        post: operations["TakesController_ask"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/keepers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_keepers"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/covers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_covers"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/worked": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_worked"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/made-with/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_madeWith"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_get"];
        put?: never;
        post?: never;
        delete: operations["TakesController_remove"];
        options?: never;
        head?: never;
        patch: operations["TakesController_change"];
        trace?: never;
    };
    "/api/v1/takes/{id}/approval": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["TakesController_approve"];
        post?: never;
        delete: operations["TakesController_withdraw"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/in-force/{mixId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_inForceFor"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}/enlarge": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakesController_enlarge"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}/redraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakesController_redraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}/more": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakesController_more"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}/cancel": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakesController_cancel"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}/mix": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakesController_mixOf"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cast/{id}/tally": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TallyController_tally"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/sequences": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SequencesController_list"];
        put?: never;
        post: operations["SequencesController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/sequences/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SequencesController_get"];
        put?: never;
        post?: never;
        delete: operations["SequencesController_remove"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/sequences/{id}/hold": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SequencesController_hold"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/sequences/{id}/steadiness": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SequencesController_steadiness"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/sequences/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SequencesController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/sequences/{id}/export/{form}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SequencesController_export"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SeriesController_list"];
        put?: never;
        post: operations["SeriesController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/from-mix": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_fromMix"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SeriesController_get"];
        put?: never;
        post?: never;
        delete: operations["SeriesController_remove"];
        options?: never;
        head?: never;
        patch: operations["SeriesController_change"];
        trace?: never;
    };
    "/api/v1/series/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/render": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_render"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/pause": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_pause"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/go-on": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_resume"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/stop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_stop"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/consistency": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SeriesController_consistency"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/shots/{shotId}/remedies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_tryOut"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/shots/{shotId}/tries": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_tryRemedy"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/swaps": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_trySwap"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/tries/{batch}/keep": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_keep"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/tries/{batch}/take-back": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_takeBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/tries/{batch}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["SeriesController_drop"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/export/{form}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SeriesController_export"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/shots": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ShotsController_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/shots/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ShotsController_read"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/shots/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["ShotsController_remove"];
        options?: never;
        head?: never;
        patch: operations["ShotsController_change"];
        trace?: never;
    };
    "/api/v1/shots/{id}/duplicate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ShotsController_duplicate"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/shots/{id}/mix": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ShotsController_toMix"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/shots/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ShotsController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/comments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CommentsController_list"];
        put?: never;
        post: operations["CommentsController_write"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/comments/inbox": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CommentsController_incoming"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/comments/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CommentsController_read"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/comments/read-all": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CommentsController_readAll"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/comments/{id}/answers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CommentsController_answer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/comments/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["CommentsController_remove"];
        options?: never;
        head?: never;
        patch: operations["CommentsController_change"];
        trace?: never;
    };
    "/api/v1/comments/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CommentsController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/strips": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrialsController_listStrips"];
        put?: never;
        post: operations["TrialsController_newStrip"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/strips/of-series/{seriesId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrialsController_stripsOfSeries"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/strips/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrialsController_strip"];
        put?: never;
        post?: never;
        delete: operations["TrialsController_removeStrip"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/strips/{id}/proof": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrialsController_proof"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/solves": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrialsController_listSolves"];
        put?: never;
        post: operations["TrialsController_newSolve"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/solves/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrialsController_solve"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/solves/{id}/stop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrialsController_stop"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/studio": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["StudioController_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        BackupDto: {
            /** @description name of its folder below backups/ */
            name: string;
            /** @description when it was made, ISO 8601 */
            made: string;
            /** @description how many files its database names */
            files: number;
            /** @description bytes of its database and files; unchanged files are shared by all backups */
            bytes: number;
        };
        TroubledJobDto: {
            id: string;
            /** @example take */
            kind: string;
            /** @description id of what it is about */
            subject: string;
            /** @description it took the studio with it several times, so it was set aside */
            setAside: boolean;
            /** @description why, as a sentence */
            reason: string;
            at?: string;
        };
        /** @enum {string} */
        Role: "owner" | "editor" | "commenter" | "viewer";
        PersonDto: {
            id: string;
            name: string;
            /** @description hue of their mark, degrees */
            hue: number;
            role: components["schemas"]["Role"];
            /** @description may hand over although their role alone does not let them */
            mayExport: boolean;
            /** @description to be sent with every change */
            version: number;
        };
        MeDto: {
            /** @description nobody else can reach this studio: nobody is asked who they are */
            alone: boolean;
            /** @description somebody can let others in */
            hasOwner: boolean;
            /** @description where others find it, when that is not the address of this page */
            publicUrl?: string;
            /** @description absent for somebody who is not in */
            person?: components["schemas"]["PersonDto"];
            /** @description the session that this is */
            session?: string;
            /** @description a directory through which one can come in: what people call it */
            directory?: string;
            /** @description the directory knows that this is the person */
            listed?: boolean;
        };
        SignInDto: {
            login: string;
            password: string;
        };
        SessionDto: {
            id: string;
            /** @description what the browser says of itself */
            browser: string;
            createdAt: string;
            seenAt: string;
            /** @description the one that asks */
            own: boolean;
        };
        ChangePasswordDto: {
            /** @description the present one */
            now: string;
            /** @description the new one */
            then: string;
        };
        NewPersonDto: {
            /** @description as others read it */
            name: string;
            /** @description what they type to come in; capitals make no difference */
            login: string;
            password: string;
        };
        ChangePersonDto: {
            version: number;
            name?: string;
            role?: components["schemas"]["Role"];
            mayExport?: boolean;
        };
        InvitationDto: {
            id: string;
            /** @description whom it is meant for */
            note: string;
            role: components["schemas"]["Role"];
            mayExport: boolean;
            /** @description it lets somebody give themselves a new password */
            reset: boolean;
            expiresAt: string;
            /** @description where it leads, below the address of the studio; told once */
            path?: string;
        };
        NewInvitationDto: {
            role: components["schemas"]["Role"];
            /** @description whom it is meant for */
            note?: string;
            mayExport?: boolean;
        };
        PlaceDto: {
            /**
             * @description path of the page, without what is asked of it
             * @example /bench/demo-mix
             */
            at: string;
            /**
             * @description what of that they hold
             * @example influence a
             */
            holds?: string;
            /** @description the id of the person */
            person: string;
            name: string;
            /** @description hue of their mark, degrees */
            hue: number;
        };
        HereDto: {
            /**
             * @description path of the page, without what is asked of it
             * @example /bench/demo-mix
             */
            at: string;
            /**
             * @description what of that they hold
             * @example influence a
             */
            holds?: string;
        };
        MaskDto: {
            /** @description its hash, by which mixes name it */
            content: string;
            url: string;
            /** @description part of the picture that is white, 0..1 */
            covers: number;
        };
        /** @enum {string} */
        ImportState: "waiting" | "reading" | "done" | "question" | "refused" | "skipped";
        /** @enum {string} */
        Kind: "style" | "character" | "face" | "image";
        /** @enum {string} */
        RightsKind: "own work" | "licensed" | "supplied by client" | "personal use only" | "not cleared";
        RightsDto: {
            kind: components["schemas"]["RightsKind"];
            /**
             * @description last day of a licence
             * @example 2027-05-31
             */
            until?: string;
            credit?: string;
            source?: string;
        };
        SwatchDto: {
            /** @example #4a6f8c */
            colour: string;
            /** @description part of the picture, 0..1 */
            weight: number;
        };
        BoxDto: {
            left: number;
            top: number;
            right: number;
            bottom: number;
        };
        PreparationDto: {
            /** @description the part that matters; the whole picture when absent */
            focus?: components["schemas"]["BoxDto"];
            sharpen: number;
            /** @description fill a plain background with the colours of the subject */
            cutOut: boolean;
            /** @description lay transparency over white */
            flatten: boolean;
        };
        FaceDto: {
            box: components["schemas"]["BoxDto"];
            score: number;
            /** @description turn in degrees */
            yaw?: number;
            roll?: number;
            /** @description part outside the picture */
            outside?: number;
            covered?: number;
            byHand?: boolean;
        };
        JointDto: {
            name: string;
            x: number;
            y: number;
            score: number;
        };
        HexSwatchDto: {
            /** @example #4a6f8c */
            colour: string;
            weight: number;
        };
        NamedAreaDto: {
            /** @example #3a6ea5 */
            colour: string;
            /** @enum {string} */
            is: "sky" | "water" | "ground" | "trees" | "hills" | "rock" | "building" | "somebody";
        };
        LayoutMapDto: {
            /** @enum {string} */
            read: "picture" | "areas" | "distance";
            /** @description of a plan: what its colours stand for */
            areas?: components["schemas"]["NamedAreaDto"][];
            /**
             * @description of a map of near and far: how near is drawn
             * @enum {string}
             */
            near?: "light" | "dark";
        };
        NamedPlaceDto: {
            x: number;
            y: number;
            /** @enum {string} */
            is: "sky" | "water" | "ground" | "plants" | "building" | "rock" | "person" | "thing" | "sun or moon" | "nothing";
        };
        CorrectionsDto: {
            /** @description none: as found */
            faces: components["schemas"]["FaceDto"][];
            /** @description none: as found */
            joints: components["schemas"]["JointDto"][];
            /** @description 0 top .. 1 bottom; -1: as read */
            horizon: number;
            /** @description none: as read */
            swatches: components["schemas"]["HexSwatchDto"][];
            layout: components["schemas"]["LayoutMapDto"];
            /** @description none: as read */
            areas: components["schemas"]["NamedPlaceDto"][];
            /** @description hash of a painted mask, white is figure; empty: as found */
            matte: string;
        };
        /** @enum {string} */
        CheckId: "too small" | "fake resolution" | "blurred" | "face cut off" | "face covered" | "face turned away" | "face too small" | "transparency" | "plain background" | "collage" | "text" | "too dark" | "burnt" | "flat" | "near double";
        /** @enum {string} */
        Severity: "serious" | "warning" | "note";
        /** @enum {string} */
        CheckFix: "sharpen" | "focus face" | "cut out" | "flatten" | "split" | "show double";
        CheckDto: {
            id: components["schemas"]["CheckId"];
            severity: components["schemas"]["Severity"];
            reason: string;
            fix?: components["schemas"]["CheckFix"];
        };
        /** @enum {string} */
        CheckState: "fine" | "warning" | "serious";
        /** @enum {string} */
        VisionState: "waiting" | "done" | "needs-box" | "unavailable";
        /**
         * @description the place on a model sheet that it suits, by what is seen of it
         * @enum {string}
         */
        Slot: "front" | "three-quarter" | "side" | "back" | "full figure" | "expression" | "outfit";
        MetadataDto: {
            title?: string;
            creator?: string;
            credit?: string;
            rights?: string;
            taken?: string;
            /** @description how the picture was made, if a machine had a part in it */
            aiSource?: string;
        };
        ReferenceDto: {
            id: string;
            kind: components["schemas"]["Kind"];
            title: string;
            tags: string[];
            notes: string;
            /** @description 0 (none) .. 5 */
            rating: number;
            favourite: boolean;
            rights: components["schemas"]["RightsDto"];
            /** @description px, as it came */
            width: number;
            /** @description px, as it came */
            height: number;
            /** @example jpeg */
            format: string;
            /** @description address of the picture as it came, upright, in sRGB */
            sourceUrl: string;
            /** @description address of the picture that the engine gets */
            pictureUrl: string;
            /** @description address of a small version */
            thumbnailUrl: string;
            /** @description what it looks like, for those who cannot see it */
            alt: string;
            swatches: components["schemas"]["SwatchDto"][];
            preparation: components["schemas"]["PreparationDto"];
            corrections: components["schemas"]["CorrectionsDto"];
            checks: components["schemas"]["CheckDto"][];
            checkState: components["schemas"]["CheckState"];
            visionState: components["schemas"]["VisionState"];
            /** @description the head, with what was taken for skin, hair and clothes tinted */
            headUrl?: string;
            /** @description what of the whole source was taken for figure: hash of a mask, white is figure */
            matte?: string;
            /**
             * @description the view of its face
             * @example three-quarter
             */
            view?: string;
            /** @description the place on a model sheet that it suits, by what is seen of it */
            slot?: components["schemas"]["Slot"];
            /** @description prompts that could have made it */
            prompts: string[];
            metadata: components["schemas"]["MetadataDto"];
            /** @description mixes that use it */
            usedIn: number;
            /** @description was archived */
            away: boolean;
            createdAt: string;
            /** @description to be sent with every change */
            version: number;
        };
        ImportFileDto: {
            id: string;
            name: string;
            state: components["schemas"]["ImportState"];
            /** @description why it was refused */
            reason?: string;
            referenceId?: string;
            /** @description address of the file as it came */
            fileUrl: string;
            /**
             * @description how sure it is that it is a double
             * @enum {string}
             */
            twinIs?: "the same file" | "nearly the same";
            /** @description the reference that it is a double of */
            twin?: components["schemas"]["ReferenceDto"];
        };
        /** @enum {string} */
        Decision: "keep both" | "replace" | "skip";
        DecideDto: {
            ids: string[];
            decision: components["schemas"]["Decision"];
        };
        /** @enum {string} */
        Sort: "newest" | "oldest" | "title" | "rating" | "used" | "recent" | "arranged" | "likeness";
        FacetsDto: {
            kind: {
                [key: string]: number;
            };
            tag: {
                [key: string]: number;
            };
            rights: {
                [key: string]: number;
            };
            state: {
                [key: string]: number;
            };
            look: {
                [key: string]: number;
            };
            character: {
                [key: string]: number;
            };
            collection: {
                [key: string]: number;
            };
            favourite: number;
            unused: number;
            away: number;
        };
        SearchDto: {
            total: number;
            /** @description references in the studio */
            all: number;
            ids: string[];
            /** @description width / height */
            aspects: number[];
            facets: components["schemas"]["FacetsDto"];
            /** @description milliseconds */
            took: number;
        };
        ImportedDto: {
            reference: components["schemas"]["ReferenceDto"];
            /** @description the same file was in the library already */
            duplicate: boolean;
        };
        BulkChangeDto: {
            kind?: components["schemas"]["Kind"];
            rating?: number;
            favourite?: boolean;
            rights?: components["schemas"]["RightsDto"];
            ids: string[];
            addTags?: string[];
            removeTags?: string[];
            /** @description put away (true) or bring back (false) */
            away?: boolean;
        };
        RememberedDto: {
            kind?: components["schemas"]["Kind"];
            rating?: number;
            favourite?: boolean;
            rights?: components["schemas"]["RightsDto"];
            id: string;
            tags: string[];
            away: boolean;
        };
        BulkChangedDto: {
            changed: number;
            before: components["schemas"]["RememberedDto"][];
        };
        BulkUndoDto: {
            before: components["schemas"]["RememberedDto"][];
        };
        ChangeReferenceDto: {
            kind?: components["schemas"]["Kind"];
            rating?: number;
            favourite?: boolean;
            rights?: components["schemas"]["RightsDto"];
            version: number;
            title?: string;
            tags?: string[];
            notes?: string;
        };
        SeenAreaDto: {
            /** @description where its widest part lies, part of the width */
            x: number;
            /** @description part of the height */
            y: number;
            /** @enum {string} */
            kind: "sky" | "water" | "ground" | "plants" | "building" | "rock" | "person" | "thing" | "sun or moon" | "nothing";
            /** @description by what it was told, in plain words */
            why: string;
            /** @description part of the picture, 0..1 */
            share: number;
        };
        PlanColourDto: {
            /** @example #3a6ea5 */
            colour: string;
            /** @enum {string} */
            is: "sky" | "water" | "ground" | "trees" | "hills" | "rock" | "building" | "somebody";
            /** @description part of the picture, 0..1 */
            part: number;
        };
        HorizonDto: {
            /** @description 0 top .. 1 bottom */
            at: number;
            /** @description 0..1 */
            confidence: number;
            byHand: boolean;
        };
        EngineViewDto: {
            pictureUrl: string;
            /** @description px */
            width: number;
            /** @description px */
            height: number;
            linesUrl: string;
            /** @description a line drawing already: its lines are taken as they are */
            isLineDrawing: boolean;
            depthUrl: string;
            /** @description its areas, parted by lines and tinted by what they show */
            areasUrl: string;
            /** @description what was read of its areas, the largest first */
            areas: components["schemas"]["SeenAreaDto"][];
            shapeUrl: string;
            /** @description two-valued enough to be a shape */
            isShape: boolean;
            /** @description how its layout is read */
            layout: components["schemas"]["LayoutMapDto"];
            /** @description part of it that lies in flat colours, 0..1; from about .9 on it looks like a plan */
            flat: number;
            /** @description its flat colours and what they most likely stand for */
            planColours: components["schemas"]["PlanColourDto"][];
            horizon: components["schemas"]["HorizonDto"];
            faces: components["schemas"]["FaceDto"][];
            joints: components["schemas"]["JointDto"][];
            /** @description a first proposal of the focus */
            proposedFocus: components["schemas"]["BoxDto"];
        };
        PrepareDto: {
            version: number;
            preparation: components["schemas"]["PreparationDto"];
        };
        CorrectDto: {
            version: number;
            faces?: components["schemas"]["FaceDto"][];
            joints?: components["schemas"]["JointDto"][];
            /** @description 0 top .. 1 bottom; -1 goes back to what was read */
            horizon?: number;
            swatches?: components["schemas"]["HexSwatchDto"][];
            /** @description read: picture goes back to its own areas */
            layout?: components["schemas"]["LayoutMapDto"];
            /** @description what areas show, by a place within each */
            areas?: components["schemas"]["NamedPlaceDto"][];
            /** @description hash of a painted mask, white is figure; empty goes back to what was found */
            matte?: string;
        };
        ReferenceVersionDto: {
            number: number;
            at: string;
            /** @example prepared */
            why: string;
            thumbnailUrl: string;
            current: boolean;
        };
        CollectionDto: {
            id: string;
            name: string;
            /** @description the query string of its search; absent when it is put together by hand */
            search?: string;
            /** @description pictures put in by hand */
            count: number;
            /** @description the picture that it is shown by */
            first?: string;
            updatedAt: string;
            /** @description to be sent with a change of its name or search */
            version: number;
        };
        NewCollectionDto: {
            name: string;
            /** @description ids of references, in their order */
            items?: string[];
            /** @description a query string of the search: what it finds is the collection */
            search?: string;
        };
        ChangeCollectionDto: {
            version: number;
            name?: string;
            /** @description of a collection that is a search */
            search?: string;
        };
        PlacingDto: {
            /** @description a reference, in the collection already or not */
            id: string;
            /** @description the one that it goes before; the end when absent or not there */
            before?: string;
        };
        ArrangementDto: {
            takeOut?: string[];
            place?: components["schemas"]["PlacingDto"][];
        };
        ArrangedDto: {
            collection: components["schemas"]["CollectionDto"];
            back: components["schemas"]["ArrangementDto"];
        };
        /** @enum {string} */
        ShelfKind: "phrase";
        ShelfItemDto: {
            kind: components["schemas"]["ShelfKind"];
            name: string;
            /** @description the words of a phrase */
            text: string;
            id: string;
        };
        NewShelfItemDto: {
            kind: components["schemas"]["ShelfKind"];
            name: string;
            /** @description the words of a phrase */
            text: string;
        };
        LookItemDto: {
            referenceId: string;
            weight: number;
        };
        LookDto: {
            id: string;
            name: string;
            notes: string;
            items: components["schemas"]["LookItemDto"][];
            /** @description new mixes begin with it */
            isDefault: boolean;
            /** @description the take that shows a sample drawn with it */
            sampleTakeId?: string;
            updatedAt: string;
            /** @description to be sent with every change */
            version: number;
        };
        NewLookDto: {
            notes?: string;
            items?: components["schemas"]["LookItemDto"][];
            name: string;
        };
        ChangeLookDto: {
            notes?: string;
            items?: components["schemas"]["LookItemDto"][];
            version: number;
            name?: string;
            isDefault?: boolean;
        };
        LookPointDto: {
            referenceId: string;
            /** @description -1..1 */
            x: number;
            /** @description -1..1 */
            y: number;
            /** @description distance to the others, over what is usual in this look */
            off: number;
        };
        LookReadingDto: {
            /** @description 0 a heap .. 1 of one piece */
            coherence: number;
            /** @description the picture that does not belong */
            stranger?: string;
            map: components["schemas"]["LookPointDto"][];
            swatches: components["schemas"]["SwatchDto"][];
            advice: string[];
        };
        SheetItemDto: {
            referenceId: string;
            /** @description what it shows, as a person says; by what is seen of it when absent */
            slot?: components["schemas"]["Slot"];
        };
        /** @enum {string} */
        TraitName: "skin" | "hair" | "eyes" | "lips" | "upper" | "pattern colour" | "lower" | "hat" | "body" | "face width" | "jaw" | "eye size" | "brow thickness" | "nose length" | "mouth fullness" | "height" | "hair style" | "hair length" | "headwear" | "beard" | "glasses" | "pattern" | "build" | "species";
        TraitDto: {
            name: components["schemas"]["TraitName"];
            /** @example #b5653a */
            colour?: string;
            /** @description 1 is usual */
            number?: number;
            choice?: string;
            /** @description the colour in a word */
            word?: string;
            /** @description 0..1 */
            confidence?: number;
            /** @description set by a person: new pictures do not change it */
            locked?: boolean;
        };
        OutfitDto: {
            /** @description chosen by whoever adds it; stays while its name changes */
            id: string;
            /** @example winter coat */
            name: string;
            /** @description what it is, in words; empty where pictures tell it all */
            wears: string;
            /** @description references that show it */
            pictures: string[];
        };
        CharacterDto: {
            id: string;
            name: string;
            /** @example person */
            species: string;
            description: string;
            items: components["schemas"]["SheetItemDto"][];
            usualWeight: number;
            /** @description what a person corrected */
            corrected: components["schemas"]["TraitDto"][];
            outfits: components["schemas"]["OutfitDto"][];
            /** @description against a grown person's, 1 */
            height: number;
            updatedAt: string;
            /** @description to be sent with every change */
            version: number;
        };
        NewCharacterDto: {
            species?: string;
            description?: string;
            items?: components["schemas"]["SheetItemDto"][];
            usualWeight?: number;
            corrected?: components["schemas"]["TraitDto"][];
            outfits?: components["schemas"]["OutfitDto"][];
            name: string;
        };
        DescribeDto: {
            /** @description who it is, in words */
            description: string;
        };
        CandidateDto: {
            hash: string;
            pictureUrl: string;
        };
        PickDto: {
            hash: string;
            name: string;
            description: string;
        };
        ChangeCharacterDto: {
            species?: string;
            description?: string;
            items?: components["schemas"]["SheetItemDto"][];
            usualWeight?: number;
            corrected?: components["schemas"]["TraitDto"][];
            outfits?: components["schemas"]["OutfitDto"][];
            version: number;
            name?: string;
        };
        SheetReadingDto: {
            referenceId: string;
            traits: components["schemas"]["TraitDto"][];
        };
        CharacterReadingDto: {
            traits: components["schemas"]["TraitDto"][];
            /** @description the contours of the face from the front: x and y of every point of half a face, in distances between the eyes */
            face?: number[];
            pictures: components["schemas"]["SheetReadingDto"][];
            /** @description 0..1 */
            agreement: number;
            /** @description the picture that falls out */
            odd?: string;
            advice: string[];
            /** @description pictures that nobody has looked at yet */
            waiting: number;
        };
        /**
         * @description Width to height of the picture; 3:2 when absent
         * @enum {string}
         */
        Aspect: "3:2" | "2:3" | "1:1" | "4:3" | "3:4" | "16:9" | "2:1";
        /**
         * @description What the stage is drawn in, before looks are laid over it; as prompt and looks ask when none is chosen
         * @enum {string}
         */
        Medium: "gouache" | "ink wash" | "linocut" | "pastel" | "paper-cut" | "woodblock" | "embroidery" | "cyanotype" | "screen print" | "impasto" | "charcoal" | "pencil" | "stained glass";
        SharedSettingsDto: {
            /** @description Width to height of the picture; 3:2 when absent */
            aspect?: components["schemas"]["Aspect"];
            /** @description Multiplies all references against the prompt; 1 is neutral */
            balance?: number;
            /** @description How freely the seed composes: at 0 every seed gives the same composition, at 1 each its own */
            spread?: number;
            /** @description How firmly traits and forms that the prompt names hold against references; 0.5 when absent */
            strictness?: number;
            /** @description How ornate the painter draws: 0 leaves small things out, 1 lays small marks along wide forms; 0.5 when absent */
            ornateness?: number;
            /** @description What the stage is drawn in, before looks are laid over it; as prompt and looks ask when none is chosen */
            medium?: components["schemas"]["Medium"];
        };
        /**
         * @description at most what the studio lets them do
         * @enum {string}
         */
        ProjectRole: "editor" | "commenter" | "viewer";
        MemberDto: {
            /** @description at most what the studio lets them do */
            role: components["schemas"]["ProjectRole"];
            /** @description approves keepers of the project; as it was when absent */
            approver?: boolean;
            /** @description the id of the person */
            person: string;
        };
        ProjectDto: {
            id: string;
            name: string;
            /** @description the look that its new mixes begin with; that of the studio when absent */
            lookId?: string;
            settings: components["schemas"]["SharedSettingsDto"];
            /** @description references that it picked; the search of the library takes its id as a collection */
            pictures: number;
            /** @description the first of them */
            first?: string;
            /** @description looks that it picked; none is all */
            looks: string[];
            /** @description characters that it picked; none is all */
            cast: string[];
            /** @description done with: it stands in no list of what is worked on */
            archived: boolean;
            /** @description only its members, and owners of the studio, know of it */
            restricted: boolean;
            members: components["schemas"]["MemberDto"][];
            updatedAt: string;
            /** @description to be sent with every change */
            version: number;
        };
        NewProjectDto: {
            settings?: components["schemas"]["SharedSettingsDto"];
            looks?: string[];
            cast?: string[];
            name: string;
            lookId?: string;
        };
        ChangeProjectDto: {
            settings?: components["schemas"]["SharedSettingsDto"];
            looks?: string[];
            cast?: string[];
            version: number;
            name?: string;
            /** @description empty for the look of the studio */
            lookId?: string;
            archived?: boolean;
            restricted?: boolean;
        };
        ArrangedProjectDto: {
            project: components["schemas"]["ProjectDto"];
            back: components["schemas"]["ArrangementDto"];
        };
        MembershipDto: {
            /** @description at most what the studio lets them do */
            role: components["schemas"]["ProjectRole"];
            /** @description approves keepers of the project; as it was when absent */
            approver?: boolean;
        };
        EmphasisDto: {
            words: string;
            /** @description 0 left out, 1 as said, 2 twice as much */
            weight: number;
        };
        MixStartDto: {
            /** @enum {string} */
            of: "take" | "reference";
            id: string;
            /** @description 0 the picture itself, 1 nothing of it */
            change: number;
        };
        MixMaskDto: {
            /** @description hash of a mask */
            content: string;
            invert: boolean;
            /** @description soft edge in parts of the longer side */
            feather: number;
        };
        MixSettingsDto: {
            /** @description Another seed: another picture of the same words */
            seed: number;
            /** @description Width to height of the picture */
            aspect: components["schemas"]["Aspect"];
            /** @description Multiplies all references against the prompt; 1 is neutral */
            balance: number;
            /** @description How freely the seed composes: at 0 every seed gives the same composition, at 1 each its own */
            spread?: number;
            /** @description How firmly traits and forms that the prompt names hold against references; 0.5 when absent */
            strictness?: number;
            /** @description How ornate the painter draws: 0 leaves small things out, 1 lays small marks along wide forms; 0.5 when absent */
            ornateness?: number;
            /** @description What the stage is drawn in, before looks are laid over it; as prompt and looks ask when none is chosen */
            medium?: components["schemas"]["Medium"];
            /** @description Characters whose names in the prompt do not add their pictures, by their ids */
            uncalled?: string[];
            /** @description Words that count more or less than the others: 0 left out, 1 as said, 2 twice as much */
            emphases?: components["schemas"]["EmphasisDto"][];
            /** @description A picture to start from, and how far the take goes from it: 0 the picture itself, 1 nothing of it */
            start?: components["schemas"]["MixStartDto"];
            /** @description The only part of the start picture that changes */
            mask?: components["schemas"]["MixMaskDto"];
        };
        /**
         * @description What it carries over from its reference into the picture
         * @enum {string}
         */
        Gives: "everything" | "look" | "palette" | "light" | "layout" | "shape" | "pose" | "place" | "thing" | "character" | "face" | "outfit";
        /**
         * @description How closely it is read, apart from its weight: as a hint, loosely, as usual, or closely
         * @enum {string}
         */
        Reading: "hint" | "loose" | "normal" | "close";
        /**
         * @description The parts of an identity that a character carries; all of them when absent
         * @enum {string}
         */
        IdentityPart: "face" | "hair" | "build" | "clothes";
        /**
         * @description a reference when absent
         * @enum {string}
         */
        SourceKind: "reference" | "look" | "character";
        MixInfluenceDto: {
            /** @description What it carries over from its reference into the picture */
            gives: components["schemas"]["Gives"];
            /** @description How strongly it pulls: 0 not at all, 1 as it is, beyond 2 the prompt is lost */
            weight: number;
            /** @description Where on the course it begins to act, 0 the beginning */
            from: number;
            /** @description Where on the course it ceases to act, 1 the end; not before its start */
            to: number;
            /** @description Whether it acts at all; off, it is kept in the mix and pulls nothing */
            on: boolean;
            /** @description How closely it is read, apart from its weight: as a hint, loosely, as usual, or closely */
            reading: components["schemas"]["Reading"];
            /** @description Whose identity it carries; a character's own name when absent, and everybody where it has none */
            subject?: string;
            /** @description The parts of an identity that a character carries; all of them when absent */
            parts?: components["schemas"]["IdentityPart"][];
            /**
             * @description Of a shape: whether the picture fills it, or what is around it; inside when absent
             * @enum {string}
             */
            fill?: "inside" | "around";
            /** @description How large its strokes and motifs come out; 1 as they are against the whole of the picture; 1 when absent */
            motif?: number;
            /** @description References of a look or a character that are left out, by their ids */
            except?: string[];
            id: string;
            /** @description a reference when absent */
            of?: components["schemas"]["SourceKind"];
            /** @description id of the reference, look or character */
            referenceId: string;
            /** @description Where in the picture it acts; everywhere when absent */
            region?: components["schemas"]["MixMaskDto"];
        };
        MixDto: {
            id: string;
            name: string;
            /** @description the project that it belongs to */
            projectId: string;
            prompt: string;
            avoid: string;
            settings: components["schemas"]["MixSettingsDto"];
            influences: components["schemas"]["MixInfluenceDto"][];
            /** @description done with: it stands in no list of what is worked on */
            archived: boolean;
            updatedAt: string;
            /** @description to be sent with every change */
            version: number;
        };
        NewMixDto: {
            /** @description the first project for a new mix when absent */
            projectId?: string;
            name?: string;
            prompt?: string;
            avoid?: string;
            settings?: components["schemas"]["MixSettingsDto"];
            influences?: components["schemas"]["MixInfluenceDto"][];
        };
        ChangeMixDto: {
            /** @description the first project for a new mix when absent */
            projectId?: string;
            name?: string;
            prompt?: string;
            avoid?: string;
            settings?: components["schemas"]["MixSettingsDto"];
            influences?: components["schemas"]["MixInfluenceDto"][];
            archived?: boolean;
            version: number;
        };
        MixVersionDto: {
            id: string;
            number: number;
            prompt: string;
            avoid: string;
            settings: components["schemas"]["MixSettingsDto"];
            influences: components["schemas"]["MixInfluenceDto"][];
            createdAt: string;
        };
        FromTakeDto: {
            takeId: string;
            kind?: components["schemas"]["Kind"];
        };
        OutlineDto: {
            /** @enum {string} */
            of: "figure" | "head" | "clothes" | "sky" | "water" | "ground" | "plants" | "buildings";
            /** @description index of the figure among those of the take; absent for grounds */
            figure?: number;
            /** @description part of the picture, 0..1 */
            part: number;
            /** @description hash of the mask: a grey picture, white where it is */
            content: string;
        };
        /** @enum {string} */
        TakeStatus: "queued" | "rendering" | "done" | "failed" | "cancelled";
        /** @enum {string} */
        Quality: "draft" | "proof" | "print";
        ControlDto: {
            id: string;
            pictureUrl?: string;
            thumbnailUrl?: string;
        };
        /** @enum {string} */
        Channel: "layout" | "pose" | "identity" | "colour" | "surface";
        JudgedDto: {
            channel: components["schemas"]["Channel"];
            /** @description of the picture, 0..1 */
            part: number;
        };
        UntoldDto: {
            channel: components["schemas"]["Channel"];
            /** @example The head is too small or turned away: a half figure or a portrait can be told. */
            why: string;
        };
        ArrivalDto: {
            influenceId: string;
            /** @description 0..1; absent where it cannot be measured */
            overall?: number;
            colour?: number;
            surface?: number;
            layout?: number;
            pose?: number;
            identity?: number;
            /** @description what of somebody is as it is known of them, in words */
            same: string[];
            /** @description what of somebody is not, in words */
            unlike: string[];
            /** @description channels that were not judged on the whole picture */
            judged: components["schemas"]["JudgedDto"][];
            /** @description channels that cannot be told here */
            untold: components["schemas"]["UntoldDto"][];
        };
        TakeFigureDto: {
            /** @description as the words call them */
            name?: string;
            /** @description left, top, right, bottom, 0..1 */
            box: number[];
            /** @description the face: left, top, right, bottom, 0..1 */
            face?: number[];
        };
        /** @enum {string} */
        RemarkKind: "nothing-to-give" | "nobody-to-take" | "toned-shape" | "shape-at-edge" | "thin-shape";
        RemarkDto: {
            influenceId: string;
            kind: components["schemas"]["RemarkKind"];
        };
        UnaskedDto: {
            /** @enum {string} */
            kind: "white-sky" | "piece" | "splashes" | "burnt" | "missing" | "cropped";
            /** @description left, top, right, bottom, 0..1 */
            box: number[];
            /** @description who it is about, as the words call them */
            who?: string;
        };
        FoundWordDto: {
            start: number;
            end: number;
            text: string;
            /** @example time: dusk */
            means: string;
            /** @description 0 not at all .. 1 as well as without references */
            found: number;
            /** @description where: left, top, right, bottom, 0..1 */
            box?: number[];
        };
        NotDrawnDto: {
            start: number;
            end: number;
            text: string;
            /** @example time: dusk */
            means: string;
            /** @example Drawn as somebody who kneels, not more. */
            why: string;
        };
        UnderstoodSpanDto: {
            start: number;
            end: number;
            text: string;
            /** @example time: dusk */
            means: string;
        };
        TextSpanDto: {
            start: number;
            end: number;
            text: string;
        };
        ApprovedDto: {
            at: string;
            /** @description the id of who did; absent for whoever worked alone */
            by?: string;
        };
        TakeDto: {
            id: string;
            mixId?: string;
            shotId?: string;
            status: components["schemas"]["TakeStatus"];
            quality: components["schemas"]["Quality"];
            prompt: string;
            seed: number;
            width: number;
            height: number;
            influences: components["schemas"]["MixInfluenceDto"][];
            pictureUrl?: string;
            thumbnailUrl?: string;
            control?: components["schemas"]["ControlDto"];
            arrivals: components["schemas"]["ArrivalDto"][];
            /** @description 0..1 */
            wordsKept?: number;
            /** @description who is in the picture */
            figures: components["schemas"]["TakeFigureDto"][];
            /** @description what was found out about influences */
            remarks: components["schemas"]["RemarkDto"][];
            /** @description what came unasked, and faults */
            unasked: components["schemas"]["UnaskedDto"][];
            /** @description who and what of the words was looked for */
            words: components["schemas"]["FoundWordDto"][];
            /** @description what of the words the stage does not show */
            notDrawn: components["schemas"]["NotDrawnDto"][];
            understood: components["schemas"]["UnderstoodSpanDto"][];
            unheard: components["schemas"]["TextSpanDto"][];
            /** @description why it failed */
            error?: string;
            /** @description who rendered it: "urbild 0.6.0" */
            engine: string;
            /** @description the engine would draw it another way today */
            olderEngine: boolean;
            keeper: boolean;
            /** @description of a keeper: it is locked */
            approved?: components["schemas"]["ApprovedDto"];
            /** @description 0 none .. 5 */
            rating: number;
            rejected: boolean;
            note: string;
            /** @description the take that somebody went on from */
            fromTakeId?: string;
            avoid: string;
            settings: components["schemas"]["MixSettingsDto"];
            /** @description milliseconds of rendering */
            took?: number;
            createdAt: string;
            version: number;
        };
        CoverDto: {
            mixId: string;
            thumbnailUrl: string;
        };
        WorkedDto: {
            /** @description id of the reference, look or character */
            referenceId: string;
            low: number;
            high: number;
            /** @description kept takes */
            count: number;
        };
        NewTakeDto: {
            mixId: string;
            quality?: components["schemas"]["Quality"];
            /** @description the mix's own when absent */
            seed?: number;
            /** @description the mix's own when absent */
            prompt?: string;
            /** @description leave this influence out */
            without?: string;
            /** @description the take that this one goes on from */
            from?: string;
        };
        ChangeTakeDto: {
            version: number;
            keeper?: boolean;
            rating?: number;
            rejected?: boolean;
            note?: string;
        };
        InForcePictureDto: {
            referenceId: string;
            title: string;
            /** @description what the engine gets */
            pictureUrl: string;
            /** @description its part of the weight of its influence */
            weight: number;
            /** @description versions of the file so far */
            fileVersion: number;
            /** @description cropped, sharpened or cut out */
            prepared: boolean;
        };
        InForceInfluenceDto: {
            id: string;
            acts: boolean;
            /** @description why it does not act */
            why?: string;
            pictures: components["schemas"]["InForcePictureDto"][];
        };
        InForceDto: {
            width: number;
            height: number;
            engine: string;
            /** @description milliseconds that takes of this size took lately */
            usually?: number;
            /** @description takes that are rendered before */
            ahead: number;
            /** @description the picture that it starts from */
            startUrl?: string;
            /** @description names of the cast that the prompt says */
            names: string[];
            influences: components["schemas"]["InForceInfluenceDto"][];
        };
        EnlargeDto: {
            /** @description how many times as large */
            times: number;
        };
        MoreLikeDto: {
            count: number;
        };
        TraitTallyDto: {
            trait: components["schemas"]["TraitName"];
            /** @description takes in which it can be seen */
            seen: number;
            /** @description of these, takes in which it is the same */
            kept: number;
            /**
             * @description who decided it in most
             * @enum {string}
             */
            by: "words" | "reference" | "neither";
        };
        TraitTalliesDto: {
            /** @description takes that show it, at most the newest 60 */
            takes: number;
            traits: components["schemas"]["TraitTallyDto"][];
        };
        FrameViewDto: {
            x: number;
            y: number;
            /** @description 1 sees all of it */
            size: number;
        };
        CameraDto: {
            from: components["schemas"]["FrameViewDto"];
            to: components["schemas"]["FrameViewDto"];
        };
        FrameMoveDto: {
            camera?: components["schemas"]["CameraDto"];
            /** @description how far the first figure goes, in parts of the width, -1..1 */
            across?: number;
            /** @description the words of the last frame */
            towards?: string;
        };
        FrameDto: {
            takeId: string;
            status: components["schemas"]["TakeStatus"];
            pictureUrl?: string;
            thumbnailUrl?: string;
            /** @description why it failed */
            error?: string;
        };
        SequenceDto: {
            id: string;
            seriesId: string;
            shotId: string;
            name: string;
            prompt: string;
            move: components["schemas"]["FrameMoveDto"];
            quality: components["schemas"]["Quality"];
            width: number;
            height: number;
            /** @description each rendered by itself */
            free: components["schemas"]["FrameDto"][];
            /** @description the frame that holds the others */
            hold?: number;
            /** @description held by that frame; empty without one */
            held: components["schemas"]["FrameDto"][];
            createdAt: string;
        };
        NewSequenceDto: {
            name: string;
            shotId: string;
            move: components["schemas"]["FrameMoveDto"];
            frames: number;
            quality?: components["schemas"]["Quality"];
        };
        HoldDto: {
            /** @description index of the frame that holds the others */
            frame: number;
        };
        UnsteadinessDto: {
            /** @description 0 strokes that stay .. about 1.4 strokes that are new in every frame */
            strokes: number;
            /** @description mean distance of who is seen, 0..1 */
            identity?: number;
        };
        SteadierDto: {
            strokes: number;
            identity?: number;
        };
        SteadinessDto: {
            free?: components["schemas"]["UnsteadinessDto"];
            held?: components["schemas"]["UnsteadinessDto"];
            /** @description so many times steadier when held */
            times?: components["schemas"]["SteadierDto"];
        };
        SeriesSummaryDto: {
            id: string;
            name: string;
            mixId: string;
            shots: number;
            updatedAt: string;
        };
        NewShotDto: {
            title: string;
            prompt: string;
            notes?: string;
            seed?: number;
        };
        NewSeriesDto: {
            name: string;
            mixId: string;
            shots?: components["schemas"]["NewShotDto"][];
        };
        SeriesQueueDto: {
            waiting: number;
            rendering: number;
            /** @description milliseconds until all are done, from how long takes took lately */
            left?: number;
        };
        OwnInfluenceDto: {
            /** @description How strongly it pulls: 0 not at all, 1 as it is, beyond 2 the prompt is lost */
            weight?: number;
            /** @description Where on the course it begins to act, 0 the beginning */
            from?: number;
            /** @description Where on the course it ceases to act, 1 the end; not before its start */
            to?: number;
            /** @description Whether it acts at all; off, it is kept in the mix and pulls nothing */
            on?: boolean;
            /** @description How closely it is read, apart from its weight: as a hint, loosely, as usual, or closely */
            reading?: components["schemas"]["Reading"];
            id: string;
        };
        OwnSettingsDto: {
            /** @description Multiplies all references against the prompt; 1 is neutral */
            balance?: number;
            /** @description How freely the seed composes: at 0 every seed gives the same composition, at 1 each its own */
            spread?: number;
            avoid?: string;
            influences: components["schemas"]["OwnInfluenceDto"][];
            /** @description references of this shot alone: its sketch, pose, ... */
            added: components["schemas"]["MixInfluenceDto"][];
        };
        OwnDifferenceDto: {
            /** @description to take it back by */
            key: string;
            /** @description in words: "Ilse, weight 0.4 instead of 1" */
            text: string;
        };
        ShotArrivalDto: {
            influenceId: string;
            /** @description 0..1 */
            overall?: number;
        };
        TrialDto: {
            /** @enum {string} */
            kind: "remedy" | "swap";
            /** @description one for all takes that are tried together */
            batch: string;
            label: string;
            /** @description it was kept and is an ordinary take now */
            kept: boolean;
        };
        ShotTakeDto: {
            id: string;
            status: components["schemas"]["TakeStatus"];
            quality: components["schemas"]["Quality"];
            seed: number;
            width: number;
            height: number;
            pictureUrl?: string;
            thumbnailUrl?: string;
            control?: components["schemas"]["ControlDto"];
            arrivals: components["schemas"]["ShotArrivalDto"][];
            /** @description 0..1 */
            wordsKept?: number;
            /** @description why it failed */
            error?: string;
            /** @description who rendered it: "urbild 0.6.0" */
            engine: string;
            /** @description the engine would draw it another way today */
            olderEngine: boolean;
            keeper: boolean;
            /** @description of a keeper: it is locked */
            approved?: components["schemas"]["ApprovedDto"];
            /** @description 0 none .. 5 */
            rating: number;
            rejected: boolean;
            note: string;
            fromTakeId?: string;
            trial?: components["schemas"]["TrialDto"];
            createdAt: string;
            version: number;
        };
        ShotDto: {
            id: string;
            position: number;
            title: string;
            prompt: string;
            notes: string;
            seed: number;
            /** @description left out of renders, measures and exports */
            skipped: boolean;
            own: components["schemas"]["OwnSettingsDto"];
            /** @description ids of the influences that act in it: of the mix, called by its words, or its own */
            acting: string[];
            differs: components["schemas"]["OwnDifferenceDto"][];
            /** @description why it has to be rendered; empty when it is up to date */
            stale: string[];
            /** @description its keeper, or else its newest finished take */
            leadId?: string;
            /** @description newest first, with what is tried for it */
            takes: components["schemas"]["ShotTakeDto"][];
            version: number;
        };
        SeriesDto: {
            id: string;
            name: string;
            mixId: string;
            /** @description the version of the mix that is used; its newest state when absent */
            mixVersion?: number;
            /** @description those of the mix in the version that is used */
            influences: components["schemas"]["MixInfluenceDto"][];
            /** @description its takes wait until it goes on */
            paused: boolean;
            queue: components["schemas"]["SeriesQueueDto"];
            shots: components["schemas"]["ShotDto"][];
            version: number;
        };
        FromMixDto: {
            mixId: string;
            /** @description the mix's own when absent */
            name?: string;
        };
        ChangeSeriesDto: {
            version: number;
            name?: string;
            mixId?: string;
            /** @description null for the newest state of the mix */
            mixVersion?: number | null;
        };
        RenderSeriesDto: {
            quality?: components["schemas"]["Quality"];
            /** @description all shots when absent */
            shotIds?: string[];
            /** @description takes for each shot; 1 when absent */
            takes?: number;
        };
        RenderedSeriesDto: {
            /** @description takes that were put in line; what is up to date is not rendered again */
            queued: number;
        };
        ComparedShotDto: {
            shotId: string;
            takeId: string;
            /** @description of a try: likeness in layout to the take before, 0..1 */
            layout?: number;
        };
        CloserIdentityDto: {
            influenceId: string;
            name: string;
            /** @description how far the controls are from the takes of other shots over how far the takes are from one another */
            times: number;
        };
        CloserDto: {
            /** @description geometric mean of surface and colour */
            look?: number;
            surface?: number;
            colour?: number;
            identity: components["schemas"]["CloserIdentityDto"][];
        };
        BandDto: {
            low: number;
            high: number;
        };
        /** @enum {string} */
        Cause: "own setting" | "other reference" | "words" | "nobody" | "turned away" | "too small" | "seed";
        ShotPlanDto: {
            prompt: string;
            seed: number;
            own: components["schemas"]["OwnSettingsDto"];
        };
        /** @enum {string} */
        RemedyState: "untried" | "trying" | "helps" | "fails";
        JudgedRemedyDto: {
            /** @example Bring Ilse nearer */
            label: string;
            plan: components["schemas"]["ShotPlanDto"];
            state: components["schemas"]["RemedyState"];
        };
        FallsOutDto: {
            shotId: string;
            takeId: string;
            /** @enum {string} */
            aspect: "identity" | "look" | "arrival";
            influenceId: string;
            /** @description of what does not hold */
            name: string;
            /** @description 0..1 */
            arrival?: number;
            /** @description where the arrivals of the others lie */
            others?: components["schemas"]["BandDto"];
            cause: components["schemas"]["Cause"];
            /** @description the cause as a sentence */
            sentence: string;
            /** @description the likelier first */
            remedies: components["schemas"]["JudgedRemedyDto"][];
        };
        ConsistencyDto: {
            /** @description the takes that were compared */
            shots: components["schemas"]["ComparedShotDto"][];
            closer: components["schemas"]["CloserDto"];
            /** @description the farthest first */
            falls: components["schemas"]["FallsOutDto"][];
        };
        ShotRemedyDto: {
            /** @example Bring Ilse nearer */
            label: string;
            plan: components["schemas"]["ShotPlanDto"];
        };
        SwapDto: {
            influence: string;
            of: components["schemas"]["SourceKind"];
            referenceId: string;
            quality?: components["schemas"]["Quality"];
        };
        NewShotsDto: {
            shots: components["schemas"]["NewShotDto"][];
            /** @description the place of the first of them; at the end when absent */
            at?: number;
        };
        ShotTextDto: {
            /** @description a prompt a line, "Title: prompt" lines, or CSV with a head line */
            text: string;
        };
        ChangeShotDto: {
            version: number;
            title?: string;
            prompt?: string;
            notes?: string;
            seed?: number;
            skipped?: boolean;
            own?: components["schemas"]["OwnSettingsDto"];
            /** @description its new place, from 0 */
            position?: number;
        };
        /** @enum {string} */
        Commented: "take" | "shot" | "mix" | "reference";
        PointDto: {
            /** @description part of the width, 0..1 from the left */
            x: number;
            /** @description part of the height, 0..1 from the top */
            y: number;
        };
        CommentDto: {
            id: string;
            kind: components["schemas"]["Commented"];
            /** @description the id of what it is about */
            thingId: string;
            /** @description the first comment of its thread; of that one its own id */
            threadId: string;
            /** @description the id of who wrote it; absent for whoever worked alone */
            person?: string;
            /** @description empty where it was deleted, and answers to it are left */
            text: string;
            point?: components["schemas"]["PointDto"];
            /** @description ids of the people whom it names */
            mentioned: string[];
            /** @description of the first of a thread: whether it is dealt with */
            resolved: boolean;
            /** @description who resolved it; absent for whoever worked alone */
            resolvedBy?: string;
            createdAt: string;
            /** @description when its text was changed last */
            editedAt?: string;
            /** @description deleted; it stands for its answers */
            deleted: boolean;
            /** @description to be sent with every change */
            version: number;
        };
        NewCommentDto: {
            takeId?: string;
            shotId?: string;
            mixId?: string;
            referenceId?: string;
            text: string;
            /** @description the point of the picture that it is about */
            point?: components["schemas"]["PointDto"];
        };
        InboxCommentDto: {
            id: string;
            kind: components["schemas"]["Commented"];
            /** @description the id of what it is about */
            thingId: string;
            /** @description the first comment of its thread; of that one its own id */
            threadId: string;
            /** @description the id of who wrote it; absent for whoever worked alone */
            person?: string;
            /** @description empty where it was deleted, and answers to it are left */
            text: string;
            point?: components["schemas"]["PointDto"];
            /** @description ids of the people whom it names */
            mentioned: string[];
            /** @description of the first of a thread: whether it is dealt with */
            resolved: boolean;
            /** @description who resolved it; absent for whoever worked alone */
            resolvedBy?: string;
            createdAt: string;
            /** @description when its text was changed last */
            editedAt?: string;
            /** @description deleted; it stands for its answers */
            deleted: boolean;
            /** @description to be sent with every change */
            version: number;
            /** @description names whoever asks, or belongs to a thread in which they take part */
            forMe: boolean;
            /** @description not read yet */
            unread: boolean;
            /** @description what it is about, in words */
            about: string;
            /** @description a small picture of what it is about */
            thumbnailUrl?: string;
            /** @description the series of what it is about */
            seriesId?: string;
            /** @description the mix of what it is about */
            mixId?: string;
        };
        InboxDto: {
            /** @description the newest first */
            comments: components["schemas"]["InboxCommentDto"][];
            /** @description unread comments for whoever asks, the others included that are not in this list */
            unread: number;
        };
        ReadDto: {
            /** @description comments that were read, with those before them in their threads */
            ids: string[];
        };
        AnswerDto: {
            text: string;
        };
        ChangeCommentDto: {
            version: number;
            /** @description only whoever wrote it can change it */
            text?: string;
            /** @description of the first of a thread: whether it is dealt with */
            resolved?: boolean;
        };
        /** @enum {string} */
        AxisSetting: "weight" | "from" | "to" | "gives" | "reading" | "swap" | "fade" | "without" | "balance" | "spread" | "strictness" | "ornateness" | "seed" | "change" | "words";
        AxisDto: {
            setting: components["schemas"]["AxisSetting"];
            /** @description the influence whose setting it is */
            influence?: string;
            /** @description of a fade: the influence that comes */
            other?: string;
            values: (number | string)[];
        };
        MixStateDto: {
            prompt: string;
            avoid: string;
            settings: components["schemas"]["MixSettingsDto"];
            influences: components["schemas"]["MixInfluenceDto"][];
        };
        TrialShotDto: {
            id: string;
            title: string;
        };
        StripDto: {
            id: string;
            mixId: string;
            name: string;
            axes: components["schemas"]["AxisDto"][];
            state: components["schemas"]["MixStateDto"];
            /** @description each cell is these shots */
            shots?: components["schemas"]["TrialShotDto"][];
            quality: components["schemas"]["Quality"];
            /** @description row by row; of a strip over shots: cell by cell, shot by shot */
            cells: components["schemas"]["TakeDto"][];
            createdAt: string;
        };
        NewStripDto: {
            mixId: string;
            /** @description the series whose shots these are */
            seriesId?: string;
            /** @description shots of the series */
            shotIds?: string[];
            name?: string;
            /** @description one axis, or two for a table */
            axes: components["schemas"]["AxisDto"][];
            quality?: components["schemas"]["Quality"];
        };
        ProofCellDto: {
            cell: number;
        };
        TargetDto: {
            influence: string;
            arrival: number;
        };
        /** @enum {string} */
        SolveState: "running" | "met" | "cannot" | "stopped" | "failed";
        WeightDto: {
            influence: string;
            weight: number;
            arrival: number;
        };
        SolveTrialDto: {
            weights: components["schemas"]["WeightDto"][];
            wordsKept: number;
            take?: components["schemas"]["TakeDto"];
        };
        SolveDto: {
            id: string;
            mixId: string;
            targets: components["schemas"]["TargetDto"][];
            wordsKept?: number;
            status: components["schemas"]["SolveState"];
            /** @description what it came to, in words */
            reason: string;
            /** @description index of the trial that is nearest */
            best?: number;
            path: components["schemas"]["SolveTrialDto"][];
            createdAt: string;
        };
        NewSolveDto: {
            mixId: string;
            /** @description the series whose shots these are */
            seriesId?: string;
            /** @description shots of the series */
            shotIds?: string[];
            targets: components["schemas"]["TargetDto"][];
            /** @description at least this much of the words */
            wordsKept?: number;
        };
        EngineDto: {
            name: string;
            version: string;
            /** @description what it can draw from a reference */
            gives: components["schemas"]["Gives"][];
        };
        DemoDto: {
            done: number;
            total: number;
        };
        StudioDto: {
            name: string;
            engine: components["schemas"]["EngineDto"];
            demo: components["schemas"]["DemoDto"];
            /** @description ids of the takes in the queue, in their order */
            queue: string[];
            /** @description about how many seconds the queue will need; absent where nothing like it was rendered before */
            secondsLeft?: number;
            /** @description pictures that wait to be looked at for who they show */
            unread: number;
            /** @description the disk is full: the queue waits until there is room */
            waitsForRoom: boolean;
        };
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    BackupController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BackupDto"][];
                };
            };
        };
    };
    BackupController_make: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BackupDto"];
                };
            };
        };
    };
    JobsController_troubled: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TroubledJobDto"][];
                };
            };
        };
    };
    JobsController_retry: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    DirectoryController_begin: {
        parameters: {
            query?: {
                /** @description where in the page one comes back to */
                to?: string;
                /** @description the link by which one is invited */
                join?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    DirectoryController_arrive: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SessionController_me: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MeDto"];
                };
            };
        };
    };
    SessionController_signIn: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SignInDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MeDto"];
                };
            };
        };
    };
    SessionController_signOut: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SessionController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SessionDto"][];
                };
            };
        };
    };
    SessionController_end: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SessionController_password: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangePasswordDto"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PeopleController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PersonDto"][];
                };
            };
        };
    };
    PeopleController_owner: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewPersonDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PersonDto"];
                };
            };
        };
    };
    PeopleController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PeopleController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangePersonDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PersonDto"];
                };
            };
        };
    };
    PeopleController_reset: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvitationDto"];
                };
            };
        };
    };
    PeopleController_open: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvitationDto"][];
                };
            };
        };
    };
    PeopleController_invite: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewInvitationDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvitationDto"];
                };
            };
        };
    };
    PeopleController_takeBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PeopleController_read: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvitationDto"];
                };
            };
        };
    };
    PeopleController_join: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                token: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewPersonDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PersonDto"];
                };
            };
        };
    };
    PresenceController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlaceDto"][];
                };
            };
        };
    };
    PresenceController_be: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                window: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["HereDto"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PresenceController_leave: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                window: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    MasksController_take: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /** Format: binary */
                    file: string;
                };
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MaskDto"];
                };
            };
        };
    };
    ImportsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportFileDto"][];
                };
            };
        };
    };
    ImportsController_take: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /** Format: binary */
                    file: string;
                    /** @enum {string} */
                    kind?: "style" | "character" | "face" | "image";
                    title?: string;
                    /** Format: uuid */
                    id?: string;
                };
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportFileDto"];
                };
            };
        };
    };
    ImportsController_decide: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DecideDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportFileDto"][];
                };
            };
        };
    };
    ImportsController_clear: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LibraryController_many: {
        parameters: {
            query: {
                /** @description at most 200 ids with commas between them */
                ids: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"][];
                };
            };
        };
    };
    LibraryController_bringIn: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /** Format: binary */
                    file: string;
                    /** @enum {string} */
                    kind?: "style" | "character" | "face" | "image";
                    title?: string;
                };
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportedDto"];
                };
            };
        };
    };
    LibraryController_search: {
        parameters: {
            query?: {
                /** @description all of them must occur in title, tags, notes or what the picture shows */
                words?: string;
                kind?: components["schemas"]["Kind"];
                tag?: string;
                rights?: components["schemas"]["RightsKind"];
                state?: components["schemas"]["CheckState"];
                rating?: number;
                favourite?: boolean;
                look?: string;
                character?: string;
                /** @description id of a collection that is put together by hand, or of a project */
                collection?: string;
                used?: "used" | "unused";
                /** @description only what was archived */
                away?: boolean;
                colour?: string;
                /** @description how far off in OKLab; 0.08 when absent */
                tolerance?: number;
                /** @description id of a reference: only what is like it, best first */
                like?: string;
                by?: "content" | "style";
                sort?: components["schemas"]["Sort"];
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SearchDto"];
                };
            };
        };
    };
    LibraryController_changeMany: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BulkChangeDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BulkChangedDto"];
                };
            };
        };
    };
    LibraryController_undo: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BulkUndoDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BulkChangedDto"];
                };
            };
        };
    };
    LibraryController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LibraryController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeReferenceDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_gives: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EngineViewDto"];
                };
            };
        };
    };
    LibraryController_replaceFile: {
        parameters: {
            query: {
                /** @description the version of the reference that this is based on */
                version: number;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /** Format: binary */
                    file: string;
                };
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_prepare: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PrepareDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_correct: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CorrectDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_versions: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceVersionDto"][];
                };
            };
        };
    };
    LibraryController_goBack: {
        parameters: {
            query: {
                /** @description the version of the reference that this is based on */
                version: number;
            };
            header?: never;
            path: {
                id: string;
                number: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_split: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportFileDto"][];
                };
            };
        };
    };
    CollectionsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionDto"][];
                };
            };
        };
    };
    CollectionsController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewCollectionDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionDto"];
                };
            };
        };
    };
    CollectionsController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionDto"];
                };
            };
        };
    };
    CollectionsController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    CollectionsController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeCollectionDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionDto"];
                };
            };
        };
    };
    CollectionsController_arrange: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ArrangementDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ArrangedDto"];
                };
            };
        };
    };
    CollectionsController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionDto"];
                };
            };
        };
    };
    ShelfController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ShelfItemDto"][];
                };
            };
        };
    };
    ShelfController_add: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewShelfItemDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ShelfItemDto"];
                };
            };
        };
    };
    ShelfController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LooksController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LookDto"][];
                };
            };
        };
    };
    LooksController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewLookDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LookDto"];
                };
            };
        };
    };
    LooksController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LookDto"];
                };
            };
        };
    };
    LooksController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LooksController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeLookDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LookDto"];
                };
            };
        };
    };
    LooksController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LookDto"];
                };
            };
        };
    };
    LooksController_duplicate: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LookDto"];
                };
            };
        };
    };
    LooksController_read: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LookReadingDto"];
                };
            };
        };
    };
    CastController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CharacterDto"][];
                };
            };
        };
    };
    CastController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewCharacterDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CharacterDto"];
                };
            };
        };
    };
    CastController_candidates: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DescribeDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CandidateDto"][];
                };
            };
        };
    };
    CastController_pick: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PickDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CharacterDto"];
                };
            };
        };
    };
    CastController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CharacterDto"];
                };
            };
        };
    };
    CastController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    CastController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeCharacterDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CharacterDto"];
                };
            };
        };
    };
    CastController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CharacterDto"];
                };
            };
        };
    };
    CastController_read: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CharacterReadingDto"];
                };
            };
        };
    };
    ProjectsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectDto"][];
                };
            };
        };
    };
    ProjectsController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewProjectDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectDto"];
                };
            };
        };
    };
    ProjectsController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectDto"];
                };
            };
        };
    };
    ProjectsController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeProjectDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectDto"];
                };
            };
        };
    };
    ProjectsController_arrange: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ArrangementDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ArrangedProjectDto"];
                };
            };
        };
    };
    ProjectsController_putMember: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                person: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MembershipDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectDto"];
                };
            };
        };
    };
    ProjectsController_removeMember: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                person: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectDto"];
                };
            };
        };
    };
    MixesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"][];
                };
            };
        };
    };
    MixesController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewMixDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    MixesController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    MixesController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    MixesController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeMixDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    MixesController_versionsOf: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixVersionDto"][];
                };
            };
        };
    };
    FromTakeController_takeOver: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FromTakeDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportFileDto"];
                };
            };
        };
    };
    OutlinesController_outlines: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OutlineDto"][];
                };
            };
        };
    };
    SamplesController_sample: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_list: {
        parameters: {
            query: {
                mixId: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"][];
                };
            };
        };
    };
    TakesController_ask: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewTakeDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_keepers: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"][];
                };
            };
        };
    };
    TakesController_covers: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CoverDto"][];
                };
            };
        };
    };
    TakesController_worked: {
        parameters: {
            query: {
                ids: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WorkedDto"][];
                };
            };
        };
    };
    TakesController_madeWith: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"][];
                };
            };
        };
    };
    TakesController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TakesController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeTakeDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_approve: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_inForceFor: {
        parameters: {
            query: {
                quality: string;
            };
            header?: never;
            path: {
                mixId: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InForceDto"];
                };
            };
        };
    };
    TakesController_enlarge: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EnlargeDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_redraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_more: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MoreLikeDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"][];
                };
            };
        };
    };
    TakesController_cancel: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_mixOf: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    TallyController_tally: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TraitTalliesDto"];
                };
            };
        };
    };
    SequencesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SequenceDto"][];
                };
            };
        };
    };
    SequencesController_create: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewSequenceDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SequenceDto"];
                };
            };
        };
    };
    SequencesController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SequenceDto"];
                };
            };
        };
    };
    SequencesController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SequencesController_hold: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["HoldDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SequenceDto"];
                };
            };
        };
    };
    SequencesController_steadiness: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SteadinessDto"];
                };
            };
        };
    };
    SequencesController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SequencesController_export: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                form: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SeriesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesSummaryDto"][];
                };
            };
        };
    };
    SeriesController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewSeriesDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_fromMix: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FromMixDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SeriesController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeSeriesDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SeriesController_render: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RenderSeriesDto"];
            };
        };
        responses: {
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RenderedSeriesDto"];
                };
            };
        };
    };
    SeriesController_pause: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_resume: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_stop: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_consistency: {
        parameters: {
            query: {
                batch: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ConsistencyDto"];
                };
            };
        };
    };
    SeriesController_tryOut: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                shotId: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ConsistencyDto"];
                };
            };
        };
    };
    SeriesController_tryRemedy: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                shotId: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ShotRemedyDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_trySwap: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SwapDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_keep: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                batch: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_takeBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                batch: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_drop: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                batch: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_export: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                form: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ShotsController_add: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewShotsDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    ShotsController_read: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ShotTextDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NewShotDto"][];
                };
            };
        };
    };
    ShotsController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    ShotsController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeShotDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    ShotsController_duplicate: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    ShotsController_toMix: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    ShotsController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    CommentsController_list: {
        parameters: {
            query?: {
                takeId?: string;
                shotId?: string;
                mixId?: string;
                referenceId?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CommentDto"][];
                };
            };
        };
    };
    CommentsController_write: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewCommentDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CommentDto"];
                };
            };
        };
    };
    CommentsController_incoming: {
        parameters: {
            query?: {
                all?: boolean;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InboxDto"];
                };
            };
        };
    };
    CommentsController_read: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadDto"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    CommentsController_readAll: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    CommentsController_answer: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AnswerDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CommentDto"];
                };
            };
        };
    };
    CommentsController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    CommentsController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeCommentDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CommentDto"];
                };
            };
        };
    };
    CommentsController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CommentDto"];
                };
            };
        };
    };
    TrialsController_listStrips: {
        parameters: {
            query: {
                mixId: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StripDto"][];
                };
            };
        };
    };
    TrialsController_newStrip: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewStripDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StripDto"];
                };
            };
        };
    };
    TrialsController_stripsOfSeries: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                seriesId: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StripDto"][];
                };
            };
        };
    };
    TrialsController_strip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StripDto"];
                };
            };
        };
    };
    TrialsController_removeStrip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TrialsController_proof: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ProofCellDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StripDto"];
                };
            };
        };
    };
    TrialsController_listSolves: {
        parameters: {
            query: {
                mixId: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SolveDto"][];
                };
            };
        };
    };
    TrialsController_newSolve: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewSolveDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SolveDto"];
                };
            };
        };
    };
    TrialsController_solve: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SolveDto"];
                };
            };
        };
    };
    TrialsController_stop: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SolveDto"];
                };
            };
        };
    };
    StudioController_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StudioDto"];
                };
            };
        };
    };
}
