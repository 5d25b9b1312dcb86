package wrenchnotes.server;

/** What is sent to make the golden shop: notes that say every field somewhere, an arrival, a measurement. */
final class GoldenWords {

    private static final String SCREWS =
            "{'id':'case','label':'case','head':'CROSS','size':'PH1','thread':'TAPPING','diameterMm':2.9,'lengthMm':12,"
                    + "'finish':'BLACK','count':4,'hides':'felt foot','spots':[{'x':0.1,'y':0.2}]}";

    private GoldenWords() {}

    static String lid(String id, String title, String photo) {
        return "{'id':'" + id + "','title':'" + title
                + "','how':'Lift at the back.','caution':'Springs under the lid.',"
                + "'side':'BOTTOM','tool':'PH1','minutes':2,'fasteners':[" + SCREWS + "],'closeUp':'Hook first.',"
                + "'photos':[{'hash':'" + photo
                + "','words':'the hook','marks':[{'kind':'CAUTION','at':{'x':0.25,'y':0.5},"
                + "'words':'spring'}]}]}";
    }

    static String deck(long belt) {
        return "{'id':'deck','title':'Deck out','needs':['lid'],'side':'TOP','tool':'','minutes':3,'connectors':"
                + "[{'id':'lead','label':'motor lead','mark':'red to the rim','keyed':true,'latch':'slide'}],'pieces':"
                + "[{'id':'washer','label':'thrust washer','hint':'','count':1}],'exposes':[" + belt
                + "],'waitHours':1,"
                + "'mustBeTrue':'drawer shut','partsMinor':250,'reversible':false}";
    }

    static String frame() {
        return "{'id':'frame','title':'Frame up','needs':['deck'],'side':'TOP','tool':'','minutes':1,"
                + "'insteadOf':'frame or plate','backAfter':['lid']}";
    }

    /** What holds as a whole. */
    static String whole(long belt) {
        return "{'before':'drawer out, then unplug','modes':[{'name':'self test','keys':'hold both keys',"
                + "'shows':'a dot'}],'checks':[{'stage':'BEFORE_CLOSING','what':'turns','load':'','times':1},"
                + "{'stage':'AFTER_CLOSING','what':'plays','load':'test tape','times':1}],'watch':[{'component':" + belt
                + ",'words':'lay it flat'}],'lookOver':[{'component':" + belt + ",'words':'is it on'}]}";
    }

    static String coming(long of, String more, String arrival) {
        return "{'serial':'','revisionId':" + of + ",'ownership':'CUSTOMER','ownerName':'Harbour choir','ownerContact':"
                + "'choir at the quay'" + more + ",'arrival':{'complaint':'plays nothing','symptoms':[{'name':'dead',"
                + "'present':true}]" + arrival + "}}";
    }

    static String rails() {
        return "{'asked':{'rails':{'mains':{'nominal':230,'measured':231},'rails':[{'name':'5 V','kind':'REGULATED',"
                + "'nominal':5,'measured':4.6}]}},'typed':{'mains':'231'},'place':'supply board','stage':'before',"
                + "'goodUnit':false,'instrument':'bench meter'}";
    }
}
